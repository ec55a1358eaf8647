namespace FaithfulBracket.Core.Words.Schedule;

/// <summary>Sentences of day planner.</summary>
internal static class DayPlannerWords
{
    public static Message LimitsBodyOfMiBJobsOperations =>
        $"Limits: a body of 4 MiB, 100 jobs, 1,000 operations, 20 pairs of hands, 20,000 minutes.";

    public static Message NumWorkersRandomSeed(double budget) =>
        $"num_workers:1 random_seed:1 max_deterministic_time:{budget}";
}
