using System.Globalization;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>
/// Drawing exchange files as text: circles are holes, the largest closed line is the outline, other closed lines are
/// parts.
/// </summary>
internal static class DxfReader
{
    private sealed record Entity(string Type, int Line, List<(int Code, string Value, int Line)> Fields)
    {
        public string Layer => Text(8) ?? "0";

        public string? Text(int code) => Fields.FirstOrDefault(f => f.Code == code) is { Value: { } v } ? v : null;
    }

    public static void Read(TextFile file, LayoutOptions options, LayoutDraft draft)
    {
        var pairs = Pairs(file);
        var unit = Unit(file, pairs, options, draft);
        draft.Units ??= unit;
        var mm = unit.ToMm();
        var closed = new List<(Entity Entity, List<Point2> Points)>();
        var loose = new List<(Point2 A, Point2 B)>();
        var labels = new List<(Point2 At, string Text)>();
        var skipped = new SortedDictionary<string, (int Count, int Line)>(StringComparer.Ordinal);
        var entities = Entities(pairs);
        for (var i = 0; i < entities.Count; i++)
        {
            var e = entities[i];
            double N(int code, double? otherwise = null)
            {
                var f = e.Fields.FirstOrDefault(x => x.Code == code);
                if (f.Value is null)
                    return otherwise ?? throw file.Refuse(e.Line, $"{e.Type} lacks group {code}.");
                return
                    double.TryParse(f.Value, NumberStyles.Float, CultureInfo.InvariantCulture, out var v)
                    && double.IsFinite(v)
                    ? v * mm
                    : throw file.Refuse(
                        f.Line,
                        $"group {code}: expected a number, found \"{LayoutReader.Short(f.Value)}\"."
                    );
            }
            switch (e.Type)
            {
                case "CIRCLE":
                    draft.Holes.Add(new(Math.Round(N(10), 6), Math.Round(N(20), 6), Math.Round(2 * N(40), 6)));
                    break;
                case "LINE":
                    loose.Add((new(N(10), N(20)), new(N(11), N(21))));
                    break;
                case "ARC":
                    var arc = ArcPoints(new(N(10), N(20)), N(40), N(50) / mm, N(51) / mm);
                    loose.AddRange(arc.Zip(arc.Skip(1)));
                    break;
                case "LWPOLYLINE" or "POLYLINE":
                    var (points, isClosed) = Polyline(file, e, entities, ref i, mm);
                    if (isClosed && points.Count >= 3)
                        closed.Add((e, points));
                    else
                        loose.AddRange(points.Zip(points.Skip(1)));
                    break;
                case "TEXT":
                    labels.Add(
                        (new(e.Text(11) is null ? N(10) : N(11), e.Text(21) is null ? N(20) : N(21)), e.Text(1) ?? "")
                    );
                    break;
                case "VERTEX" or "SEQEND" or "POINT":
                    break;
                default:
                    skipped[e.Type] = (
                        skipped.GetValueOrDefault(e.Type).Count + 1,
                        skipped.TryGetValue(e.Type, out var s) ? s.Line : e.Line
                    );
                    break;
            }
        }
        if (Chain(loose) is { } chained)
            closed.Add((new("LINE", 1, []), chained));
        foreach (var (type, (count, line)) in skipped)
            draft.Warn(file, line, $"{count} × {type} is not understood and left out.");
        if (closed.Count > 0)
        {
            var outer = closed.MaxBy(c => Math.Abs(Polygon.Shoelace(c.Points)));
            if (Math.Abs(Polygon.Shoelace(outer.Points)) > 1)
                draft.Outline = new(outer.Points.ConvertAll(p => new Point2(Math.Round(p.X, 6), Math.Round(p.Y, 6))));
            foreach (var c in closed.Where(c => c != outer))
                AddPart(draft, c.Entity, c.Points, labels);
            if (closed.Count > 1)
                draft.Assume(
                    $"{file.Name}: the largest closed line is the outline, the other {closed.Count - 1} are tops of parts."
                );
        }
        if (draft.Outline is null && draft.Holes.Count == 0)
            draft.Warn(file, 1, "No circle and no closed line in this drawing.");
    }

    private static void AddPart(LayoutDraft draft, Entity e, List<Point2> points, List<(Point2 At, string Text)> labels)
    {
        var polygon = new Polygon(points);
        var centre = polygon.Centroid;
        var label = labels.Where(l => polygon.Contains(l.At)).Select(l => l.Text).FirstOrDefault();
        double angle = 0,
            width = polygon.Bounds.Width,
            depth = polygon.Bounds.Height;
        if (points.Count == 4)
        {
            var side = points[1] - points[0];
            angle = Math.Atan2(side.Y, side.X) * 180 / Math.PI;
            (width, depth) = (side.Length, (points[2] - points[1]).Length);
        }
        var back =
            e.Layer.Contains("BACK", StringComparison.OrdinalIgnoreCase)
            || e.Layer.Contains("BOTTOM", StringComparison.OrdinalIgnoreCase);
        draft.Parts.Add(
            new(
                label ?? $"P{draft.Parts.Count + 1}",
                Math.Round(centre.X, 6),
                Math.Round(centre.Y, 6),
                Math.Round(angle, 6),
                back ? Face.Back : Face.Front,
                null,
                label is null ? null : PartKinds.FromDesignator(label),
                Math.Round(width, 6),
                Math.Round(depth, 6)
            )
        );
    }

    private static List<(int Code, string Value, int Line)> Pairs(TextFile file)
    {
        var list = new List<(int, string, int)>();
        for (var i = 0; i + 1 < file.Lines.Count; i += 2)
        {
            var code = file.Lines[i].Trim();
            if (code.Length == 0 && i + 2 >= file.Lines.Count)
                break;
            if (!int.TryParse(code, NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var n))
                throw file.Refuse(i + 1, $"expected a group code, found \"{LayoutReader.Short(code)}\".");
            list.Add((n, file.Lines[i + 1].Trim(), i + 2));
        }
        if (!list.Any(p => p.Item1 == 0 && p.Item2 == "EOF"))
            throw file.Refuse(file.Lines.Count, "the drawing does not end with EOF: the file is cut off.");
        return list;
    }

    private static LengthUnit Unit(
        TextFile file,
        List<(int Code, string Value, int Line)> pairs,
        LayoutOptions options,
        LayoutDraft draft
    )
    {
        if (options.Units is { } forced)
        {
            draft.Assume($"{file.Name}: units taken as {forced.ToString().ToLowerInvariant()}, as asked.");
            return forced;
        }
        var at = pairs.FindIndex(p => p.Code == 9 && p.Value == "$INSUNITS");
        switch (at >= 0 && at + 1 < pairs.Count ? pairs[at + 1].Value : "0")
        {
            case "1":
                return LengthUnit.Inch;
            case "4":
                return LengthUnit.Mm;
            case "9":
                return LengthUnit.Mil;
        }
        var measurement = pairs.FindIndex(p => p.Code == 9 && p.Value == "$MEASUREMENT");
        if (measurement >= 0 && measurement + 1 < pairs.Count)
        {
            var inches = pairs[measurement + 1].Value == "0";
            draft.Assume(
                $"{file.Name}: units taken as {(inches ? "inches" : "mm")} from the drawing's measurement system. Override with units=."
            );
            return inches ? LengthUnit.Inch : LengthUnit.Mm;
        }
        draft.Assume($"{file.Name}: no unit is stated; taken as mm. Override with units=.");
        return LengthUnit.Mm;
    }

    private static List<Entity> Entities(List<(int Code, string Value, int Line)> pairs)
    {
        var list = new List<Entity>();
        var inside = false;
        for (var i = 0; i < pairs.Count; i++)
        {
            if (pairs[i].Code == 2 && i > 0 && pairs[i - 1] is { Code: 0, Value: "SECTION" })
            {
                inside = pairs[i].Value == "ENTITIES";
                continue;
            }
            if (pairs[i] is { Code: 0, Value: "ENDSEC" })
                inside = false;
            if (!inside)
                continue;
            if (pairs[i].Code == 0)
                list.Add(new(pairs[i].Value, pairs[i].Line, []));
            else if (list.Count > 0)
                list[^1].Fields.Add(pairs[i]);
        }
        return list;
    }

    private static (List<Point2>, bool Closed) Polyline(
        TextFile file,
        Entity e,
        List<Entity> entities,
        ref int index,
        double mm
    )
    {
        var vertices = new List<(Point2 At, double Bulge)>();
        var closed = (int.TryParse(e.Text(70), CultureInfo.InvariantCulture, out var flags) ? flags & 1 : 0) == 1;
        double Parse((int Code, string Value, int Line) f) =>
            double.TryParse(f.Value, NumberStyles.Float, CultureInfo.InvariantCulture, out var v)
                ? v
                : throw file.Refuse(
                    f.Line,
                    $"group {f.Code}: expected a number, found \"{LayoutReader.Short(f.Value)}\"."
                );
        void Fields(IEnumerable<(int Code, string Value, int Line)> fields)
        {
            double? x = null;
            foreach (var f in fields)
            {
                if (f.Code == 10)
                    x = Parse(f) * mm;
                else if (f.Code == 20 && x is { } left)
                {
                    vertices.Add((new(left, Parse(f) * mm), 0));
                    x = null;
                }
                else if (f.Code == 42 && vertices.Count > 0)
                    vertices[^1] = vertices[^1] with { Bulge = Parse(f) };
            }
        }
        if (e.Type == "LWPOLYLINE")
            Fields(e.Fields);
        else
            for (; index + 1 < entities.Count && entities[index + 1].Type == "VERTEX"; index++)
                Fields(entities[index + 1].Fields);
        var points = new List<Point2>();
        for (var k = 0; k < vertices.Count; k++)
        {
            points.Add(vertices[k].At);
            if (vertices[k].Bulge == 0 || k == vertices.Count - 1 && !closed)
                continue;
            points.AddRange(Bulge(vertices[k].At, vertices[(k + 1) % vertices.Count].At, vertices[k].Bulge));
        }
        if (points.Count > 2 && (points[0] - points[^1]).Length < 1e-6)
        {
            points.RemoveAt(points.Count - 1);
            closed = true;
        }
        return (points, closed);
    }

    private static IEnumerable<Point2> Bulge(Point2 a, Point2 b, double bulge)
    {
        var angle = 4 * Math.Atan(bulge);
        var chord = b - a;
        var centre = a + chord * 0.5 + new Point2(-chord.Y, chord.X) * (0.5 / Math.Tan(angle / 2));
        var steps = Math.Clamp((int)Math.Ceiling(Math.Abs(angle) * 180 / Math.PI / 6), 2, 60);
        for (var k = 1; k < steps; k++)
            yield return centre + (a - centre).Turned(angle * k / steps);
    }

    private static List<Point2> ArcPoints(Point2 centre, double radius, double fromDeg, double toDeg)
    {
        var sweep = (toDeg - fromDeg + 720) % 360;
        var steps = Math.Clamp((int)Math.Ceiling(sweep / 6), 2, 60);
        return
        [
            .. Enumerable
                .Range(0, steps + 1)
                .Select(k => centre + new Point2(radius, 0).Turned((fromDeg + sweep * k / steps) * Math.PI / 180)),
        ];
    }

    /// <summary>Loose lines joined end to end; the loop when they close.</summary>
    private static List<Point2>? Chain(List<(Point2 A, Point2 B)> lines)
    {
        const double joint = 0.02;
        if (lines.Count < 3)
            return null;
        var rest = new List<(Point2 A, Point2 B)>(lines);
        List<Point2>? largest = null;
        while (rest.Count > 0)
        {
            var loop = new List<Point2> { rest[0].A, rest[0].B };
            rest.RemoveAt(0);
            for (; ; )
            {
                var next = rest.FindIndex(l => (l.A - loop[^1]).Length < joint || (l.B - loop[^1]).Length < joint);
                if (next < 0)
                    break;
                loop.Add((rest[next].A - loop[^1]).Length < joint ? rest[next].B : rest[next].A);
                rest.RemoveAt(next);
            }
            if (loop.Count < 4 || (loop[0] - loop[^1]).Length >= joint)
                continue;
            loop.RemoveAt(loop.Count - 1);
            if (largest is null || Math.Abs(Polygon.Shoelace(loop)) > Math.Abs(Polygon.Shoelace(largest)))
                largest = loop;
        }
        return largest;
    }
}
