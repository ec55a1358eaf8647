using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match;

/// <summary>Stick-on sinks from the kit for the parts a block leaves uncovered.</summary>
public static class PassiveSinks
{
    /// <summary>A sink may reach over its part by so much to each side, mm.</summary>
    private const double EdgeMm = 2;

    /// <summary>A part that stands no more than this above another does not meet the sink on it, mm.</summary>
    private const double LevelMm = 0.05;

    /// <summary>
    /// The coolest sink of the kit that the part can carry and that meets neither a taller part, nor the block, nor
    /// another sink, with the temperature T = air + P·R; each sink is used once, and as many parts as possible get one.
    /// </summary>
    /// <param name="plates">Outlines of the block's plates as laid, by face; null where nothing is laid.</param>
    public static IReadOnlyList<PassiveSink> For(
        Board board,
        Block block,
        IReadOnlyList<string> uncovered,
        double airC,
        IReadOnlyList<(Face Face, Polygon Outline)>? plates = null
    )
    {
        // the same sink may stand in two lines of a kit
        List<KitSink> kinds = [.. block.Kit?.Sinks ?? []];
        if (kinds.Count == 0)
            return [];
        var search = new Search(board, kinds, airC, plates ?? []);
        foreach (var part in uncovered.Select(board.FindPart).OfType<Part>().OrderByDescending(p => p.DissipationW))
            search.Place(part, []);
        search.Exchange();
        var place = uncovered.Distinct().Select((id, i) => (id, i)).ToDictionary(x => x.id, x => x.i);
        return
        [
            .. search
                .Placed.OrderByDescending(p => p.Part.DissipationW)
                .ThenBy(p => place[p.Part.Id])
                .Select(p => new PassiveSink(
                    p.Part.Id,
                    p.Kind.WidthMm,
                    p.Kind.DepthMm,
                    p.Kind.HeightMm,
                    airC + p.Part.DissipationW * p.Kind.RKPerW,
                    p.Part.LimitC
                )
                {
                    RKPerW = p.Kind.RKPerW,
                    AirC = airC,
                    Turned = p.Turned,
                }),
        ];
    }

    private sealed record Held(Part Part, KitSink Kind, int Index, bool Turned, Polygon Outline);

    /// <summary>Parts and kinds of sinks matched one to one; a part without one may take that of another with a choice.</summary>
    private sealed class Search(
        Board board,
        List<KitSink> kinds,
        double airC,
        IReadOnlyList<(Face Face, Polygon Outline)> plates
    )
    {
        /// <summary>More parts than this keep what they were given first.</summary>
        private const int MaxExchanged = 100;

        private const double OverWeight = 10;

        private readonly int[] _left = [.. kinds.Select(k => k.Count)];

        public List<Held> Placed { get; } = [];

        /// <param name="tried">Kinds whose holders were asked to change already.</param>
        public bool Place(Part part, HashSet<int> tried)
        {
            var ways = Ways(part).ToList();
            foreach (var way in ways)
                if (_left[way.Index] > 0 && Clear(part, way.Outline))
                {
                    _left[way.Index]--;
                    Placed.Add(new(part, kinds[way.Index], way.Index, way.Turned, way.Outline));
                    return true;
                }
            foreach (var way in ways.Where(w => _left[w.Index] == 0))
            {
                if (!tried.Add(way.Index))
                    continue;
                foreach (var held in Placed.Where(p => p.Index == way.Index).ToList())
                {
                    Placed.Remove(held);
                    if (Clear(part, way.Outline))
                    {
                        Placed.Add(new(part, kinds[way.Index], way.Index, way.Turned, way.Outline));
                        if (Place(held.Part, tried))
                            return true;
                        Placed.RemoveAll(p => ReferenceEquals(p.Part, part));
                    }
                    Placed.Add(held);
                }
            }
            return false;
        }

        /// <summary>Two parts change their sinks as long as both are better for it together.</summary>
        public void Exchange()
        {
            if (Placed.Count > MaxExchanged)
                return;
            for (var (again, rounds) = (true, 0); again && rounds < Placed.Count; rounds++)
            {
                again = false;
                for (var i = 0; i < Placed.Count; i++)
                for (var k = 0; k < i; k++)
                    again |= Exchange(i, k);
            }
        }

        private bool Exchange(int i, int k)
        {
            var (a, b) = (Placed[i], Placed[k]);
            if (a.Index == b.Index)
                return false;
            var before = Cost(a.Part, a.Index, a.Turned) + Cost(b.Part, b.Index, b.Turned);
            List<Held> others = [.. Placed.Where((_, n) => n != i && n != k)];
            foreach (var x in Ways(a.Part).Where(w => w.Index == b.Index))
            foreach (var y in Ways(b.Part).Where(w => w.Index == a.Index))
            {
                if (Cost(a.Part, x.Index, x.Turned) + Cost(b.Part, y.Index, y.Turned) >= before - 1e-9)
                    continue;
                if (a.Part.Face == b.Part.Face && Meet(x.Outline, y.Outline))
                    continue;
                if (!Clear(others, a.Part, x.Outline) || !Clear(others, b.Part, y.Outline))
                    continue;
                Placed[i] = new(a.Part, kinds[x.Index], x.Index, x.Turned, x.Outline);
                Placed[k] = new(b.Part, kinds[y.Index], y.Index, y.Turned, y.Outline);
                return true;
            }
            return false;
        }

        /// <summary>Kelvin over the limit weigh most, then millimetres that reach over the part.</summary>
        private double Cost(Part part, int kind, bool turned)
        {
            var rise = part.DissipationW * kinds[kind].RKPerW;
            var over = part.LimitC is { } limit ? Math.Max(0, airC + rise - limit) : 0;
            return over * OverWeight + Overhang(kinds[kind], part, turned);
        }

        /// <summary>Sinks that the board leaves room for, the one that suits best first.</summary>
        private IEnumerable<(int Index, bool Turned, Polygon Outline)> Ways(Part part) =>
            kinds
                .SelectMany(
                    (k, i) =>
                        (k.WidthMm == k.DepthMm ? new[] { false } : [false, true]).Select(turned =>
                            (Kind: k, Index: i, Turned: turned)
                        )
                )
                .OrderBy(w => Overhang(w.Kind, part, w.Turned))
                .ThenBy(w => w.Kind.RKPerW)
                .Select(w => (w.Index, w.Turned, Outline: Outline(w.Kind, part, w.Turned)))
                .Where(w => Room(part, w.Outline));

        private bool Room(Part part, Polygon outline) =>
            !plates.Any(p => p.Face == part.Face && Meet(p.Outline, outline))
            && !board.Parts.Any(o =>
                o.Id != part.Id
                && o.Face == part.Face
                && o.Under != part.Id
                && o.HeightMm > part.HeightMm + LevelMm
                && Meet(o.Top(), outline)
            );

        private bool Clear(Part part, Polygon outline) => Clear(Placed, part, outline);

        private static bool Clear(List<Held> placed, Part part, Polygon outline) =>
            !placed.Exists(p => p.Part.Face == part.Face && Meet(p.Outline, outline));

        private static bool Meet(Polygon a, Polygon b) =>
            a.Bounds.Meets(b.Bounds) && PolygonOverlap.Area(a, b) > PolygonOverlap.TouchMm2;

        private static Polygon Outline(KitSink sink, Part part, bool turned) =>
            turned
                ? Polygon.Rectangle(part.At, sink.DepthMm, sink.WidthMm, part.RotationDeg)
                : Polygon.Rectangle(part.At, sink.WidthMm, sink.DepthMm, part.RotationDeg);

        private static double Overhang(KitSink sink, Part part, bool turned)
        {
            var (width, depth) = turned ? (sink.DepthMm, sink.WidthMm) : (sink.WidthMm, sink.DepthMm);
            return Math.Max(0, width - part.WidthMm - 2 * EdgeMm) + Math.Max(0, depth - part.DepthMm - 2 * EdgeMm);
        }
    }
}
