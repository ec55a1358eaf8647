namespace FaithfulBracket.Core.Words.Teardown;

/// <summary>Sentences of lift side.</summary>
internal static class LiftSideWords
{
    public static Message LiftEvenlyLeadsLeaveInMiddle => $"Lift evenly: the leads leave in the middle.";

    public static Message OpenItLikeBookAtEdge(string side) =>
        $"Open it like a book at the {side} edge: the leads leave on the other side.";

    public static Message LiftOnSideAwayFromLeads => $"Lift on the side away from the leads.";

    public static Message LeadHasOnlyOfSlack(string shortest, double? slackMm) =>
        $"The {shortest} lead has only {slackMm:0} mm of slack: do not lift further before it is off.";

    public static Message NoLeverAtEdge(string name, string near, string andMore, string stand) =>
        $"No lever at the {name} edge: {near}{andMore} {stand} there.";
}
