namespace FaithfulBracket.Core.Words.Plans;

/// <summary>Sentences of sign off.</summary>
internal static class SignOffWords
{
    public static Message PlanHasNoStep(object id) =>
        $"The plan has no step \"{id}\": the board, block or pads changed. Load the job again.";

    public static Message NoneCountedCountThemAsThey => $"None counted: count them as they are done.";

    public static Message OneTooManyCountAgain => $"one too many, count again";

    public static Message StepIsOfEarlierPlan => $"The step is of an earlier plan.";

    public static Message NotUndoneWithThisStepBecause(string other, string theyDo) =>
        $"{other}: not undone with this step, because {theyDo} not rest on it. Name exactly the steps that do.";

    public static Message SignedAndOn(string names, string theyRest, string them) =>
        $"{names}: signed, and {theyRest} on this. Take {them} back together with it?";
}
