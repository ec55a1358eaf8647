using System.Globalization;
using System.Xml;
using System.Xml.Linq;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Formats.Words.Layouts;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>
/// Scalable vector graphics (SVG 1.1): circles, also those drawn as arcs, are holes, the largest closed line is the
/// outline, other closed lines are parts. y runs upwards on a board, downwards in the file.
/// </summary>
internal sealed class SvgReader
{
    private const int Deepest = 64,
        MaxElements = 200_000,
        MaxPoints = 2_000_000;

    public static readonly string TooMany = SvgReaderWords.MoreThanPointsInAllCurves(MaxPoints);

    /// <summary>Shapes that hold nothing drawn at their own place.</summary>
    private static readonly HashSet<string> Unseen =
    [
        "defs",
        "symbol",
        "clipPath",
        "mask",
        "marker",
        "pattern",
        "linearGradient",
        "radialGradient",
        "filter",
        "style",
        "metadata",
        "title",
        "desc",
        "script",
        "namedview",
    ];

    private readonly TextFile _file;
    private readonly LayoutDraft _draft;
    private readonly DrawnLines _lines;
    private readonly Dictionary<string, XElement> _named = new(StringComparer.Ordinal);
    private int _elements,
        _points;

    private SvgReader(TextFile file, LayoutDraft draft) => (_file, _draft, _lines) = (file, draft, new(file, draft));

    public static bool IsSvg(IReadOnlyList<string> lines) =>
        lines[0].StartsWith('<') && lines.Any(l => l.Contains("<svg", StringComparison.Ordinal));

    public static void Read(TextFile file, LayoutOptions options, LayoutDraft draft) =>
        new SvgReader(file, draft).Run(options);

    private void Run(LayoutOptions options)
    {
        var root = Root();
        foreach (var e in root.DescendantsAndSelf())
            if ((string?)e.Attribute("id") is { } id)
                _named.TryAdd(id, e);
        var mm = SvgUnits.MmOf(_file, root, options, _draft);
        var sheet = SvgUnits.Box(root);
        // upright: what is at the foot of the sheet has y = 0
        var upright = new DrawnFrame(
            new(mm.X, 0),
            new(0, -mm.Y),
            new(-(sheet?.X ?? 0) * mm.X, ((sheet?.Y ?? 0) + (sheet?.Height ?? 0)) * mm.Y)
        );
        _draft.Units ??= LengthUnit.Mm;
        foreach (var e in root.Elements())
            One(e, upright, "0", 0);
        _lines.Finish();
    }

    private XElement Root()
    {
        try
        {
            using var text = new StringReader(string.Join('\n', _file.Lines));
            using var xml = XmlReader.Create(
                text,
                new()
                {
                    DtdProcessing = DtdProcessing.Ignore,
                    XmlResolver = null,
                    MaxCharactersInDocument = TextFile.MaxBytes,
                }
            );
            var root = XDocument.Load(xml, LoadOptions.SetLineInfo).Root!;
            return root.Name.LocalName == "svg" ? root : throw _file.Refuse(1, SvgReaderWords.ThisIsXMLButNoSVG);
        }
        catch (XmlException e)
        {
            throw _file.Refuse(e.LineNumber, SvgReaderWords.ThisDrawingBreaksOff(e.Message));
        }
    }

    private static int LineOf(XElement e) => ((IXmlLineInfo)e).LineNumber;

    private void One(XElement e, DrawnFrame world, string layer, int depth)
    {
        if (++_elements > MaxElements)
            throw _file.Refuse(LineOf(e), SvgReaderWords.MoreThanElementsUsedOnesCounted(MaxElements));
        if (depth > Deepest)
            throw _file.Refuse(LineOf(e), SvgReaderWords.GroupsLieInEachOtherMore(Deepest));
        var name = e.Name.LocalName;
        if (Unseen.Contains(name) || IsHidden(e))
            return;
        var frame = world;
        if ((string?)e.Attribute("transform") is { } transform)
            frame = SvgUnits.Transform(transform, text => _file.Refuse(LineOf(e), text)).Under(world);
        double N(string attribute) => SvgUnits.Length(_file, e, attribute);
        switch (name)
        {
            case "g" or "a" or "svg" or "switch":
                var own = e.Attributes().FirstOrDefault(a => a.Name.LocalName == "label")?.Value;
                if (name == "svg")
                    frame = DrawnFrame.Moved(N("x"), N("y")).Under(frame);
                foreach (var inner in e.Elements())
                    One(inner, frame, own ?? (string?)e.Attribute("id") ?? layer, depth + 1);
                break;
            case "use":
                var href = e.Attributes().FirstOrDefault(a => a.Name.LocalName == "href")?.Value.TrimStart('#');
                if (href is null || !_named.TryGetValue(href, out var used))
                    _lines.Skip(SvgReaderWords.UseOfSomethingThatDrawingDoes, LineOf(e));
                else
                    foreach (var inner in used.Name.LocalName == "symbol" ? used.Elements() : [used])
                        One(inner, DrawnFrame.Moved(N("x"), N("y")).Under(frame), layer, depth + 1);
                break;
            case "circle" or "ellipse":
                var r = name == "circle" ? new Point2(N("r"), N("r")) : new Point2(N("rx"), N("ry"));
                Oval(new(N("cx"), N("cy")), r, frame, layer);
                break;
            case "rect":
                Rectangle(new(N("x"), N("y")), new(N("width"), N("height")), frame, layer);
                break;
            case "line":
                _lines.Line(frame.At(new(N("x1"), N("y1"))), frame.At(new(N("x2"), N("y2"))));
                break;
            case "polyline" or "polygon":
                var points = SvgPath.Points((string?)e.Attribute("points") ?? "").ConvertAll(frame.At);
                _lines.Chain(layer, points, name == "polygon");
                break;
            case "path":
                foreach (
                    var (chain, closed) in SvgPath.Read(
                        (string?)e.Attribute("d") ?? "",
                        frame.LargestScale,
                        MaxPoints - _points,
                        text => _file.Refuse(LineOf(e), text)
                    )
                )
                    Path(chain.ConvertAll(frame.At), closed, layer);
                break;
            case "text":
                _lines.Label(frame.At(new(N("x"), N("y"))), e.Value.Trim());
                break;
            default:
                _lines.Skip(name, LineOf(e));
                break;
        }
    }

    private static bool IsHidden(XElement e) =>
        (string?)e.Attribute("display") == "none"
        || ((string?)e.Attribute("style"))
            ?.Replace(" ", "", StringComparison.Ordinal)
            .Contains("display:none", StringComparison.Ordinal) == true;

    private void Oval(Point2 centre, Point2 r, DrawnFrame frame, string layer)
    {
        if (r.X <= 0 || r.Y <= 0)
            return;
        if (_points > MaxPoints)
            throw _file.Refuse(1, TooMany);
        var points = DrawnCurves
            .Ellipse(default, new(r.X, 0), r.Y / r.X, 0, 2 * Math.PI, frame.LargestScale)
            .ConvertAll(p => frame.At(centre + p));
        Path(points, true, layer);
    }

    /// <summary>Rounded corners are drawn square: what a pad meets is the flat inside them.</summary>
    private void Rectangle(Point2 at, Point2 size, DrawnFrame frame, string layer)
    {
        if (size.X > 0 && size.Y > 0)
            _lines.Chain(
                layer,
                [
                    frame.At(at),
                    frame.At(at + new Point2(size.X, 0)),
                    frame.At(at + size),
                    frame.At(at + new Point2(0, size.Y)),
                ],
                true
            );
    }

    /// <summary>A closed chain that is round all about is a circle, whatever it was drawn with.</summary>
    private void Path(List<Point2> points, bool closed, string layer)
    {
        _points += points.Count;
        const int fewest = 12;
        const double share = 0.002,
            mm = 0.01;
        var ends = points.Count > fewest && (points[0] - points[^1]).Length < LoopChain.JointMm;
        if ((closed || ends) && points.Count >= fewest)
        {
            var bounds = Bounds.From(points);
            var centre = new Point2((bounds.MinX + bounds.MaxX) / 2, (bounds.MinY + bounds.MaxY) / 2);
            var radius = (bounds.Width + bounds.Height) / 4;
            if (radius > 0 && points.TrueForAll(p => Math.Abs((p - centre).Length - radius) <= share * radius + mm))
            {
                _lines.Circle(centre, 2 * radius);
                return;
            }
        }
        _lines.Chain(layer, points, closed);
    }
}
