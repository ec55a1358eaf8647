using FaithfulBracket.Core;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Formats.Words.Layouts;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>Reads the files of a layout export together; what each is, its content tells.</summary>
public static class LayoutReader
{
    public const int MaxFiles = 20;

    private enum Kind
    {
        Excellon,
        IdfBoard,
        IdfLibrary,
        Dxf,
        Svg,
        Gerber,
        Table,
    }

    /// <exception cref="InputException">A file can't be read; nothing of the others is kept.</exception>
    public static LayoutResult Read(IReadOnlyList<LayoutFile> files, LayoutOptions? options = null)
    {
        options ??= new();
        if (files.Count == 0)
            throw new InputException("/files", LayoutReaderWords.ExpectedAtLeastOneFile);
        if (files.Count > MaxFiles)
            throw new InputException("/files", LayoutReaderWords.ExpectedAtMostFilesFound(MaxFiles, files.Count));
        var draft = new LayoutDraft();
        var faults = new List<InputFault>();
        // drill files that leave their digits open are read last: the others then say how large the board is
        var open = new List<(TextFile File, LengthUnit Unit)>();
        for (var i = 0; i < files.Count; i++)
        {
            try
            {
                var text = new TextFile(files[i].Name, files[i].Content, $"/files/{i}", options.Sheet);
                switch (KindOf(text))
                {
                    case Kind.Excellon:
                        if (ExcellonReader.Unsettled(text, options) is { } unit)
                            open.Add((text, unit));
                        else
                            ExcellonReader.Read(text, options, draft);
                        break;
                    case Kind.IdfBoard:
                        IdfReader.ReadBoard(text, options, draft);
                        break;
                    case Kind.IdfLibrary:
                        IdfReader.ReadLibrary(text, draft);
                        break;
                    case Kind.Dxf:
                        DxfReader.Read(text, options, draft);
                        break;
                    case Kind.Svg:
                        SvgReader.Read(text, options, draft);
                        break;
                    case Kind.Gerber:
                        GerberReader.Read(text, options, draft);
                        break;
                    default:
                        TableReader.Read(text, options, draft);
                        break;
                }
                if (draft.Holes.Count + draft.Parts.Count > LayoutDraft.MaxItems)
                    throw new InputException(
                        text.Pointer,
                        LayoutReaderWords.MoreThanHolesAndParts(text.Name, LayoutDraft.MaxItems)
                    );
            }
            catch (InputException e)
            {
                faults.AddRange(e.Faults);
            }
            // what no check foresaw in a broken file: numbers past all range, outlines without area
            catch (Exception e) when (e is FormatException or OverflowException or ArgumentException)
            {
                faults.Add(new($"/files/{i}", LayoutReaderWords.NumberInThisFileCant(files[i].Name, e.Message)));
            }
        }
        foreach (var (text, unit) in open)
        {
            try
            {
                DrillDigits.Read(text, options, unit, draft);
            }
            catch (InputException e)
            {
                faults.AddRange(e.Faults);
            }
            catch (Exception e) when (e is FormatException or OverflowException or ArgumentException)
            {
                faults.Add(new(text.Pointer, LayoutReaderWords.NumberInThisFileCant(text.Name, e.Message)));
            }
        }
        if (faults.Count > 0)
            throw new InputException(faults);
        WarnOfOrigins(draft, files);
        WarnOfSize(draft, files);
        var parts = draft.Parts.ConvertAll(p =>
            p.Package is { } name && draft.Packages.TryGetValue(name, out var size)
                ? p with
                {
                    HeightMm = p.HeightMm ?? size.HeightMm,
                    WidthMm = p.WidthMm ?? size.WidthMm,
                    DepthMm = p.DepthMm ?? size.DepthMm,
                }
                : p
        );
        return new(
            draft.Holes,
            parts,
            draft.Outline,
            draft.ThicknessMm,
            draft.Units ?? LengthUnit.Mm,
            draft.Assumptions,
            draft.Warnings
        );
    }

    /// <summary>The tables among the files with their columns, for somebody to say what each means.</summary>
    public static IReadOnlyList<TableLook> Tables(
        IReadOnlyList<LayoutFile> files,
        IReadOnlyDictionary<string, ColumnMap>? known = null,
        string? sheet = null
    )
    {
        var tables = new List<TableLook>();
        for (var i = 0; i < Math.Min(files.Count, MaxFiles); i++)
        {
            try
            {
                var text = new TextFile(files[i].Name, files[i].Content, $"/files/{i}", sheet);
                if (KindOf(text) == Kind.Table && TableReader.Look(text, known) is { } look)
                    tables.Add(look);
            }
            catch (InputException) { } // what can't be read at all has no columns to name
        }
        return tables;
    }

    private static void WarnOfOrigins(LayoutDraft d, IReadOnlyList<LayoutFile> files)
    {
        if (d.Holes.Count == 0 || d.Parts.Count == 0)
            return;
        const double beside = 5;
        if (
            d.Holes.Min(h => h.X) > d.Parts.Max(p => p.X) + beside
            || d.Parts.Min(p => p.X) > d.Holes.Max(h => h.X) + beside
            || d.Holes.Min(h => h.Y) > d.Parts.Max(p => p.Y) + beside
            || d.Parts.Min(p => p.Y) > d.Holes.Max(h => h.Y) + beside
        )
            d.Warnings.Add(new(files[0].Name, 1, LayoutReaderWords.HolesAndPartsLieApart));
    }

    /// <summary>Longest sides that a board may believably have, mm.</summary>
    internal const double MinBoardMm = 20,
        MaxBoardMm = 700;

    /// <summary>What no board is like is seen before it is kept.</summary>
    private static void WarnOfSize(LayoutDraft d, IReadOnlyList<LayoutFile> files)
    {
        List<Point2> places = d.Outline is { } o
            ? [.. o.Points]
            : [.. d.Holes.Select(h => new Point2(h.X, h.Y)), .. d.Parts.Select(p => new Point2(p.X, p.Y))];
        if (places.Count > 1 && Bounds.From(places) is var b && Math.Max(b.Width, b.Height) is var longest)
            if (longest is > MaxBoardMm or < MinBoardMm)
                d.Warnings.Add(new(files[0].Name, 1, LayoutReaderWords.BoardWouldBeWhichNoBoard(b.Width, b.Height)));
        if (d.Outline is not { } outline)
            return;
        var beside = d.Parts.Where(p => !outline.Contains(new(p.X, p.Y))).Select(p => p.Id).ToList();
        if (beside.Count > 0)
            d.Warnings.Add(
                new(
                    files[0].Name,
                    1,
                    $"{HowMany.Count(beside.Count, "part lies", "parts lie")} outside the outline: "
                        + $"{string.Join(", ", beside.Take(6))}{(beside.Count > 6 ? " …" : "")}."
                )
            );
        var holes = d.Holes.Count(h => !outline.Contains(new(h.X, h.Y)));
        if (holes > 0)
            d.Warnings.Add(
                new(files[0].Name, 1, $"{HowMany.Count(holes, "hole lies", "holes lie")} outside the outline.")
            );
    }

    private static Kind KindOf(TextFile file)
    {
        var lines = file.Lines.Select(l => l.Trim()).Where(l => l.Length > 0).Take(400).ToList();
        if (lines.Count == 0)
            throw file.Refuse(1, LayoutReaderWords.FileIsEmpty);
        if (lines.Any(l => l.Any(c => c == '\0')))
            throw file.Refuse(1, LayoutReaderWords.ThisIsNoTextFile);
        var first = lines.FirstOrDefault(l => !l.StartsWith('#')) ?? "";
        if (first.Equals(".HEADER", StringComparison.OrdinalIgnoreCase))
        {
            var kind =
                lines
                    .SkipWhile(l => !l.Equals(".HEADER", StringComparison.OrdinalIgnoreCase))
                    .Skip(1)
                    .FirstOrDefault(l => !l.StartsWith('#'))
                ?? "";
            return kind.ToUpperInvariant() switch
            {
                var k when k.StartsWith("BOARD_FILE", StringComparison.Ordinal) => Kind.IdfBoard,
                var k when k.StartsWith("LIBRARY_FILE", StringComparison.Ordinal) => Kind.IdfLibrary,
                _ => throw file.Refuse(2, LayoutReaderWords.ExpectedBOARDFILEOrLIBRARYFILE(Short(kind))),
            };
        }
        if (lines.Contains("SECTION") && lines[0] is "0" or "999")
            return Kind.Dxf;
        if (SvgReader.IsSvg(lines))
            return Kind.Svg;
        if (GerberReader.IsGerber(lines))
            return Kind.Gerber;
        if (
            lines.Contains("M48")
            || lines.Contains("%") && lines.Any(ExcellonReader.IsCoordinate)
            || lines.Any(ExcellonReader.IsCoordinate) && lines.Any(ExcellonReader.IsTool)
            // a file with nothing but its end drills nothing
            || lines.Any(l => l is "M30" or "M00") && lines.All(IsIdleDrill)
        )
            return Kind.Excellon;
        if (lines[0].StartsWith('{') || lines[0].StartsWith('['))
            throw file.Refuse(1, LayoutReaderWords.ThisIsJSON);
        return Kind.Table;
    }

    private static bool IsIdleDrill(string line) =>
        line is "M30" or "M00" or "%" or "M95" or "G90" or "G05" or "M71" or "M72"
        || line.StartsWith(';')
        || line.StartsWith("METRIC", StringComparison.OrdinalIgnoreCase)
        || line.StartsWith("INCH", StringComparison.OrdinalIgnoreCase);

    internal static string Short(string text) => text.Length <= 40 ? text : text[..39] + "…";
}
