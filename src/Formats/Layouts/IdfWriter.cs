using System.Globalization;
using System.Text;
using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>IDF 3.0 board and library files of a board, mm.</summary>
public static class IdfWriter
{
    private static string N(double v) => v.ToString("0.0#####", CultureInfo.InvariantCulture);

    public static string Board(Board board)
    {
        var s = new StringBuilder(
            $".HEADER\nBOARD_FILE 3.0 \"Faithful Bracket\" 2026/01/01.00:00:00 1\n{Name(board.Id)} MM\n.END_HEADER\n.BOARD_OUTLINE UNOWNED\n{N(board.ThicknessMm)}\n"
        );
        foreach (var p in board.Outline.Points.Append(board.Outline.Points[0]))
            s.Append(CultureInfo.InvariantCulture, $"0 {N(p.X)} {N(p.Y)} 0.0\n");
        s.Append(".END_BOARD_OUTLINE\n.DRILLED_HOLES\n");
        foreach (var h in board.Holes)
            s.Append(CultureInfo.InvariantCulture, $"{N(h.DiameterMm)} {N(h.X)} {N(h.Y)} NPTH BOARD MTG UNOWNED\n");
        s.Append(".END_DRILLED_HOLES\n.PLACEMENT\n");
        foreach (var p in board.Parts)
            s.Append(
                CultureInfo.InvariantCulture,
                $"{Package(p)} {Number(p)} {Name(p.Id)}\n{N(p.X)} {N(p.Y)} 0.0 {N(p.RotationDeg)} {(p.Face == Face.Front ? "TOP" : "BOTTOM")} PLACED\n"
            );
        return s.Append(".END_PLACEMENT\n").ToString();
    }

    /// <summary>Every package once: height and outline.</summary>
    public static string Library(Board board)
    {
        var s = new StringBuilder(
            ".HEADER\nLIBRARY_FILE 3.0 \"Faithful Bracket\" 2026/01/01.00:00:00 1\n.END_HEADER\n"
        );
        foreach (var p in board.Parts.DistinctBy(p => Package(p) + Number(p)))
        {
            double w = p.WidthMm / 2,
                d = p.DepthMm / 2;
            s.Append(
                CultureInfo.InvariantCulture,
                $".ELECTRICAL\n{Package(p)} {Number(p)} MM {N(p.HeightMm)}\n0 {N(-w)} {N(-d)} 0.0\n0 {N(w)} {N(-d)} 0.0\n0 {N(w)} {N(d)} 0.0\n0 {N(-w)} {N(d)} 0.0\n0 {N(-w)} {N(-d)} 0.0\n.END_ELECTRICAL\n"
            );
        }
        return s.ToString();
    }

    private static string Package(Part p) =>
        Name($"{p.Kind.ToString().ToLowerInvariant()}-{N(p.WidthMm)}x{N(p.DepthMm)}");

    private static string Number(Part p) => Name($"h{N(p.HeightMm)}");

    private static string Name(string text) =>
        text.Any(char.IsWhiteSpace) ? $"\"{text.Replace("\"", "'", StringComparison.Ordinal)}\"" : text;
}
