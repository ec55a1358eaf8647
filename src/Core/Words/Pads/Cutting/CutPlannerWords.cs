namespace FaithfulBracket.Core.Words.Pads.Cutting;

/// <summary>Sentences of cut planner.</summary>
internal static class CutPlannerWords
{
    public static Message LimitsKindsOfPiecePiecesTogether =>
        $"Limits: 500 kinds of piece, 1,000 pieces together, 500 kinds of sheet.";

    public static Message ExpectedAtMostKindsOfPiece(int maxLines, int pieceCount) =>
        $"Expected at most {maxLines} kinds of piece, found {pieceCount}.";

    public static Message ExpectedAtMostKindsOfSheet(int maxLines, int stockCount) =>
        $"Expected at most {maxLines} kinds of sheet, found {stockCount}.";

    public static Message ExpectedAtMostPiecesTogetherFound(int maxPieces, long pieceCount) =>
        $"Expected at most {maxPieces} pieces together, found {pieceCount}.";

    public static Message InStockIsUsedUp(string what, int count) =>
        $"The {what} in stock is used up: {count} of this piece left over.";

    public static Message NoSheetIsLargeEnough(string what, double widthMm, double depthMm) =>
        $"No {what} sheet is large enough for {widthMm:0.##} × {depthMm:0.##} mm.";
}
