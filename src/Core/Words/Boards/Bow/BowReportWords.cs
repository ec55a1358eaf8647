namespace FaithfulBracket.Core.Words.Boards.Bow;

/// <summary>Sentences of bow report.</summary>
internal static class BowReportWords
{
    public const string ProbeLiesOffBoard = "The probe lies off the board.";
}
