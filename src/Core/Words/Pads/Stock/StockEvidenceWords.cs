namespace FaithfulBracket.Core.Words.Pads.Stock;

/// <summary>Sentences of stock evidence.</summary>
internal static class StockEvidenceWords
{
    public static Message ByStockPadByDocument(
        string part,
        double height,
        double tol,
        double heightMm,
        double heightTolMm,
        double used,
        double usedTol
    ) =>
        $"{part}: {height:0.00} ± {tol:0.00} mm by the stock pad, {heightMm:0.00} ± {heightTolMm:0.00} by the "
        + $"document: {used:0.00} ± {usedTol:0.00} mm.";

    public static Message StockPadSaysDocument(string part, double height, double tol, double heightMm, double apart) =>
        $"{part}: the stock pad says {height:0.00} ± {tol:0.00} mm, the document {heightMm:0.00}: {apart:0.00} mm "
        + $"apart. The pad counts; put a caliper on the part.";
}
