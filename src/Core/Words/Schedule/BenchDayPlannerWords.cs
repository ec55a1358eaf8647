namespace FaithfulBracket.Core.Words.Schedule;

/// <summary>Sentences of bench day planner.</summary>
internal static class BenchDayPlannerWords
{
    public const string NotPlannedTooManyJobsBefore = "not planned: too many jobs before it";

    public const string NothingOnBenches = "Nothing on the benches";

    public const string NothingCanGo = "Nothing can go on: every job is held";

    public static string JobsWillBeLate(int lateCount) => $"{lateCount} jobs will be late";

    public static string EveryPromiseKeptByOrMore(string done, string span) =>
        $"{done}, every promise kept by {span} or more";

    public static string MoreWillBeLate(int lateCount) =>
        $"{lateCount} more will be late: their cards say by how much.";

    public const string NotEveryPinCanBeHeld =
        "Not every pin can be held: hands or work before it are not free then. Pinned work begins as soon after "
        + "as it can.";

    public static string OfOpenJobsArePlanned(int maxJobs, int open) =>
        $"{maxJobs} of {open} open jobs are planned: those promised, then those begun.";

    public const string NobodyIsAtBench = "Nobody is at the bench: say in Settings who works.";

    public static string TimesAreDefaults(int minSeen) =>
        $"Times are defaults: from {minSeen} signed steps of a kind on, the shop's own median counts.";

    public static string TimesAreYourOwnMedians(string named, string more) =>
        $"Times are your own, medians of {named}{more}; the rest are defaults.";

    public const string NoOrderOfTheseJobsEnds = "No order of these jobs ends sooner or is less late.";

    public const string BestOrderFoundInTimeAllowed =
        "The best order found in the time allowed; a better one may exist.";

    public static string EndsBeforeWait(string span) => $"{span}, ends before the wait";

    public static string GoesOnAfterWait(string begins, string goesOn) => $"{begins}, goes on {goesOn} after the wait";

    public static string DoneOfWorkPastPromise(string job, string done, string late, string promised) =>
        $"{job}: done {done}, {late} of work past its promise of {promised}";
}
