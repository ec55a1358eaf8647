namespace FaithfulBracket.Core.Words.Boards.Bow;

/// <summary>Sentences of bow report.</summary>
internal static class BowReportWords
{
    public static Message ProbeLiesOffBoard => $"The probe lies off the board.";
}
