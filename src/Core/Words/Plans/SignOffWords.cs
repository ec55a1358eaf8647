namespace FaithfulBracket.Core.Words.Plans;

/// <summary>Sentences of sign off.</summary>
internal static class SignOffWords
{
    public static string PlanHasNoStep(object id) =>
        $"The plan has no step \"{id}\": the board, block or pads changed. Load the job again.";

    public const string NoneCountedCountThemAsThey = "None counted: count them as they are done.";

    public const string OneTooManyCountAgain = "one too many, count again";

    public const string StepIsOfEarlierPlan = "The step is of an earlier plan.";

    public static string NotUndoneWithThisStepBecause(string other, string theyDo) =>
        $"{other}: not undone with this step, because {theyDo} not rest on it. Name exactly the steps that do.";

    public static string SignedAndOn(string names, string theyRest, string them) =>
        $"{names}: signed, and {theyRest} on this. Take {them} back together with it?";
}
