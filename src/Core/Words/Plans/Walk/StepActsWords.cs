namespace FaithfulBracket.Core.Words.Plans.Walk;

/// <summary>Sentences of step acts.</summary>
internal static class StepActsWords
{
    public static Message MorePiecesHangByNoScrew(string name) =>
        $"More pieces hang by no screw than one person holds while the board is turned over: a second person "
        + $"holds the {name}.";
}
