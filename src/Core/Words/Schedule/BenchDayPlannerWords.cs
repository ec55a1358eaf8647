namespace FaithfulBracket.Core.Words.Schedule;

/// <summary>Sentences of bench day planner.</summary>
internal static class BenchDayPlannerWords
{
    public static Message NotPlannedTooManyJobsBefore => $"not planned: too many jobs before it";

    public static Message NothingOnBenches => $"Nothing on the benches";

    public static Message NothingCanGo => $"Nothing can go on: every job is held";

    public static Message JobsWillBeLate(int lateCount) => $"{lateCount} jobs will be late";

    public static Message EveryPromiseKeptByOrMore(string done, string span) =>
        $"{done}, every promise kept by {span} or more";

    public static Message MoreWillBeLate(int lateCount) =>
        $"{lateCount} more will be late: their cards say by how much.";

    public static Message NotEveryPinCanBeHeld =>
        $"Not every pin can be held: hands or work before it are not free then. Pinned work begins as soon after "
        + $"as it can.";

    public static Message OfOpenJobsArePlanned(int maxJobs, int open) =>
        $"{maxJobs} of {open} open jobs are planned: those promised, then those begun.";

    public static Message NobodyIsAtBench => $"Nobody is at the bench: say in Settings who works.";

    public static Message TimesAreDefaults(int minSeen) =>
        $"Times are defaults: from {minSeen} signed steps of a kind on, the shop's own median counts.";

    public static Message TimesAreYourOwnMedians(string named, string more) =>
        $"Times are your own, medians of {named}{more}; the rest are defaults.";

    public static Message NoOrderOfTheseJobsEnds => $"No order of these jobs ends sooner or is less late.";

    public static Message BestOrderFoundInTimeAllowed =>
        $"The best order found in the time allowed; a better one may exist.";

    public static Message EndsBeforeWait(string span) => $"{span}, ends before the wait";

    public static Message GoesOnAfterWait(string begins, string goesOn) => $"{begins}, goes on {goesOn} after the wait";

    public static Message DoneOfWorkPastPromise(string job, string done, string late, string promised) =>
        $"{job}: done {done}, {late} of work past its promise of {promised}";
}
