namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of schedule endpoint.</summary>
internal static class ScheduleEndpointWords
{
    public const string MissingExpectedListOfJobs = "Missing: expected a list of jobs.";

    public static string ExpectedAtMostJobsFound(int maxJobs, int jobCount) =>
        $"Expected at most {maxJobs} jobs, found {jobCount}.";

    public static string ExpectedAtMostOperationsFound(int maxOperations, int operations) =>
        $"Expected at most {maxOperations} operations, found {operations}.";

    public static string IdStandsTimes(string key, int twiceCount) =>
        $"The id \"{key}\" stands {twiceCount} times; every id once.";
}
