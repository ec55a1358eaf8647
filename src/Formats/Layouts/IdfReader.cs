using System.Globalization;
using System.Text.RegularExpressions;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Formats.Words.Layouts;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>IDF 3.0 board and library files.</summary>
internal static partial class IdfReader
{
    [GeneratedRegex("\"([^\"]*)\"|(\\S+)")]
    private static partial Regex WordPattern();

    /// <summary>Line number and words of one record.</summary>
    private sealed record Record(int Line, string[] Words, bool Quoted);

    private sealed record Section(string Name, int Line, string[] Owner, List<Record> Records);

    public static void ReadBoard(TextFile file, LayoutOptions options, LayoutDraft draft)
    {
        var sections = Sections(file);
        var header = sections[0];
        CheckVersion(file, header);
        if (header.Records.Count < 2 || header.Records[1].Words.Length < 2)
            throw file.Refuse(header.Line + 2, IdfReaderWords.ExpectedBoardsNameAndUnitsMM);
        var unit = Unit(file, header.Records[1].Words[^1], header.Records[1].Line, options, draft);
        draft.Units ??= unit.Name;
        foreach (var s in sections)
        {
            switch (s.Name)
            {
                case ".BOARD_OUTLINE":
                    Outline(file, s, unit.Mm, draft);
                    break;
                case ".DRILLED_HOLES":
                    foreach (var r in s.Records)
                        Hole(file, r, unit.Mm, draft);
                    break;
                case ".PLACEMENT":
                    Placement(file, s, unit.Mm, draft);
                    break;
            }
        }
    }

    public static void ReadLibrary(TextFile file, LayoutDraft draft)
    {
        var sections = Sections(file);
        CheckVersion(file, sections[0]);
        foreach (var s in sections.Where(s => s.Name is ".ELECTRICAL" or ".MECHANICAL"))
        {
            if (s.Records.Count == 0 || s.Records[0].Words.Length < 4)
                throw file.Refuse(s.Line + 1, IdfReaderWords.ExpectedPackageNamePartNumberUnits);
            var head = s.Records[0];
            var unit =
                UnitOf(head.Words[2])
                ?? throw file.Refuse(head.Line, IdfReaderWords.UnitExpectedMMOrTHOUFound(head.Words[2]));
            var height = Number(file, head, 3, "height") * unit.Mm;
            var points = s
                .Records.Skip(1)
                .Where(r => r.Words.Length >= 3 && r.Words[0] is "0" or "1")
                .Select(r => new Point2(Number(file, r, 1, "x") * unit.Mm, Number(file, r, 2, "y") * unit.Mm))
                .ToList();
            double? width = null,
                depth = null;
            if (points.Count >= 3)
            {
                var b = Bounds.From(points);
                (width, depth) = (b.Width, b.Height);
            }
            draft.Packages[Key(head.Words[0], head.Words[1])] = (height, width, depth);
        }
    }

    private static string Key(string package, string number) => package + "\n" + number;

    private static void CheckVersion(TextFile file, Section header)
    {
        var version = header.Records.Count > 0 && header.Records[0].Words.Length > 1 ? header.Records[0].Words[1] : "";
        if (!version.StartsWith('3'))
            throw file.Refuse(header.Line + 1, IdfReaderWords.VersionExpectedFound(version));
    }

    private static (double Mm, LengthUnit Name)? UnitOf(string text) =>
        text.ToUpperInvariant() switch
        {
            "MM" => (1, LengthUnit.Mm),
            "THOU" => (0.0254, LengthUnit.Mil),
            "TNM" => (1e-5, LengthUnit.Mm),
            _ => null,
        };

    private static (double Mm, LengthUnit Name) Unit(
        TextFile file,
        string text,
        int line,
        LayoutOptions options,
        LayoutDraft draft
    )
    {
        if (options.Units is { } forced)
        {
            draft.Assume(LayoutUnitWords.UnitsTakenAsAsAsked(file.Name, forced.ToString().ToLowerInvariant()));
            return (forced.ToMm(), forced);
        }
        return UnitOf(text) ?? throw file.Refuse(line, IdfReaderWords.UnitsExpectedMMOrTHOUFound(text));
    }

    private static List<Section> Sections(TextFile file)
    {
        var list = new List<Section>();
        Section? open = null;
        for (var i = 0; i < file.Lines.Count; i++)
        {
            var text = file.Lines[i].Trim();
            if (text.Length == 0 || text.StartsWith('#'))
                continue;
            string[] words =
            [
                .. WordPattern().Matches(text).Select(m => m.Groups[1].Success ? m.Groups[1].Value : m.Groups[2].Value),
            ];
            if (text.StartsWith(".END_", StringComparison.OrdinalIgnoreCase))
            {
                if (open is null)
                    throw file.Refuse(i + 1, IdfReaderWords.EndsSectionThatWasNotBegun(words[0]));
                open = null;
            }
            else if (open is null)
            {
                if (!text.StartsWith('.'))
                    throw file.Refuse(i + 1, IdfReaderWords.ExpectedSectionSuch(LayoutReader.Short(text)));
                list.Add(open = new(words[0].ToUpperInvariant(), i + 1, words[1..], []));
            }
            else if (text.StartsWith('.') && text.Length > 1 && char.IsLetter(text[1]))
                throw file.Refuse(i + 1, IdfReaderWords.BeginsBeforeOfLineHasEnded(words[0], open.Name, open.Line));
            else
                open.Records.Add(new(i + 1, words, text.StartsWith('"')));
        }
        if (open is not null)
            throw file.Refuse(file.Lines.Count, IdfReaderWords.OfLineIsNotEnded(open.Name, open.Line));
        if (list.Count == 0 || list[0].Name != ".HEADER")
            throw file.Refuse(1, "expected .HEADER first.");
        return list;
    }

    private static double Number(TextFile file, Record r, int index, string field)
    {
        if (index >= r.Words.Length)
            throw file.Refuse(r.Line, $"{field}: missing.");
        return
            double.TryParse(r.Words[index], NumberStyles.Float, CultureInfo.InvariantCulture, out var v)
            && double.IsFinite(v)
            ? v
            : throw file.Refuse(r.Line, $"{field}: expected a number, found \"{LayoutReader.Short(r.Words[index])}\".");
    }

    private static void Outline(TextFile file, Section s, double mm, LayoutDraft draft)
    {
        if (s.Records.Count < 2)
            throw file.Refuse(s.Line, IdfReaderWords.OutlineHasNoPoints);
        draft.ThicknessMm = Math.Round(Number(file, s.Records[0], 0, "thickness") * mm, 6);
        var loops = new Dictionary<string, List<Point2>>();
        foreach (var r in s.Records.Skip(1))
        {
            var label = r.Words[0];
            var p = new Point2(Number(file, r, 1, "x") * mm, Number(file, r, 2, "y") * mm);
            var angle = Number(file, r, 3, "angle");
            if (!loops.TryGetValue(label, out var loop))
                loops[label] = loop = [];
            if (loop.Count > 0 && angle != 0)
                loop.AddRange(Arc(loop[^1], p, angle));
            loop.Add(p);
        }
        if (!loops.TryGetValue("0", out var outer))
            outer = loops.Values.First();
        if (outer.Count > 1 && (outer[0] - outer[^1]).Length < 1e-6)
            outer.RemoveAt(outer.Count - 1);
        if (outer.Count < 3)
            throw file.Refuse(s.Line, IdfReaderWords.OutlineNeedsThreePointsAtLeast);
        draft.Outline = new(outer.ConvertAll(p => new Point2(Math.Round(p.X, 6), Math.Round(p.Y, 6))));
        if (loops.Count > 1)
            draft.Warn(file, s.Line, IdfReaderWords.CutOutsInsideOutlineAreLeft(loops.Count - 1));
    }

    /// <summary>
    /// Points between two ends of an arc of a given included angle, counter-clockwise when positive; 360 is a circle
    /// about the first point.
    /// </summary>
    private static IEnumerable<Point2> Arc(Point2 from, Point2 to, double angleDeg)
    {
        var steps = Math.Clamp((int)Math.Ceiling(Math.Abs(angleDeg) / 6), 2, 90);
        Point2 centre;
        if (Math.Abs(Math.Abs(angleDeg) - 360) < 1e-9)
            centre = from;
        else
        {
            var half = angleDeg * Math.PI / 360;
            var chord = to - from;
            centre = from + chord * 0.5 + new Point2(-chord.Y, chord.X) * (0.5 / Math.Tan(half));
        }
        var arm = (centre == from ? to : from) - centre;
        for (var k = 1; k < steps; k++)
            yield return centre + arm.Turned(angleDeg * Math.PI / 180 * k / steps);
    }

    private static void Hole(TextFile file, Record r, double mm, LayoutDraft draft)
    {
        double d = Number(file, r, 0, "diameter") * mm,
            x = Number(file, r, 1, "x") * mm,
            y = Number(file, r, 2, "y") * mm;
        bool? plated =
            r.Words.Length > 3
                ? r.Words[3].ToUpperInvariant() switch
                {
                    "PTH" => true,
                    "NPTH" => false,
                    _ => null,
                }
                : null;
        draft.Holes.Add(new(Math.Round(x, 6), Math.Round(y, 6), Math.Round(d, 6), plated));
    }

    private static void Placement(TextFile file, Section s, double mm, LayoutDraft draft)
    {
        for (var i = 0; i < s.Records.Count; i += 2)
        {
            var name = s.Records[i];
            if (name.Words.Length < 3)
                throw file.Refuse(name.Line, IdfReaderWords.ExpectedPackageNamePartNumber);
            if (i + 1 >= s.Records.Count)
                throw file.Refuse(name.Line, IdfReaderWords.HasNoPlace(name.Words[2]));
            var at = s.Records[i + 1];
            var side = at.Words.Length > 4 ? at.Words[4].ToUpperInvariant() : "";
            if (side is not ("TOP" or "BOTTOM"))
                throw file.Refuse(at.Line, IdfReaderWords.SideExpectedTOPOrBOTTOMFound(LayoutReader.Short(side)));
            if (side == "BOTTOM")
                draft.Assume(IdfReaderWords.PlacesOnBackAreTaken(file.Name));
            draft.Parts.Add(
                new(
                    name.Words[2],
                    Math.Round(Number(file, at, 0, "x") * mm, 6),
                    Math.Round(Number(file, at, 1, "y") * mm, 6),
                    Number(file, at, 3, "rotation"),
                    side == "TOP" ? Face.Front : Face.Back,
                    Kind: PartKinds.FromDesignator(name.Words[2]),
                    Package: Key(name.Words[0], name.Words[1])
                )
            );
        }
    }
}
