using System.Globalization;
using CsvHelper;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Spreadsheets;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>Our own CSV of a board: outline, holes and parts, mm.</summary>
public static class TableWriter
{
    private static readonly string[] Header =
    [
        "what",
        "id",
        "face",
        "x",
        "y",
        "diameterMm",
        "widthMm",
        "depthMm",
        "rotationDeg",
        "heightMm",
        "kind",
        "slotMm",
        "slotDeg",
    ];

    public static string Write(Board board)
    {
        var text = new StringWriter();
        using var csv = new CsvWriter(text, CultureInfo.InvariantCulture);
        void Row(params object?[] cells)
        {
            foreach (var c in cells)
                csv.WriteField(
                    c switch
                    {
                        double d => d.ToString("0.######", CultureInfo.InvariantCulture),
                        string text => SpreadsheetText.Escape(text),
                        _ => "",
                    }
                );
            csv.NextRecord();
        }
        Row([.. Header]);
        foreach (var p in board.Outline.Points)
            Row("outline", "", "", p.X, p.Y, "", "", "", "", "", "", "", "");
        foreach (var h in board.Holes)
            Row(
                "hole",
                h.Id,
                "",
                h.X,
                h.Y,
                h.DiameterMm,
                "",
                "",
                "",
                "",
                "",
                h.SlotMm > 0 ? h.SlotMm : "",
                h.SlotMm > 0 ? h.SlotDeg : ""
            );
        foreach (var p in board.Parts)
            Row(
                "part",
                p.Id,
                EnumNames<Face>.Name(p.Face),
                p.X,
                p.Y,
                "",
                p.WidthMm,
                p.DepthMm,
                p.RotationDeg,
                p.HeightMm,
                EnumNames<PartKind>.Name(p.Kind),
                "",
                ""
            );
        csv.Flush();
        return text.ToString();
    }
}
