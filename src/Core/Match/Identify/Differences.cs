using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match.Identify;

/// <summary>Something that is not the same on two boards.</summary>
/// <param name="Code">not-seen, extra, moved, diameter, height or kind.</param>
/// <param name="Refs">Ids of the holes or parts.</param>
/// <param name="AtMm">Where, in the candidate's frame.</param>
public sealed record BoardDifference(string Code, string Text, IReadOnlyList<string> Refs, IReadOnlyList<double> AtMm)
{
    internal Point2 At => new(AtMm[0], AtMm[1]);
}

/// <summary>What differs between a seen constellation and a board.</summary>
public static class Differences
{
    private const double MovedMm = 3,
        DiameterTolMm = 0.15,
        HeightTolMm = 0.1;

    /// <summary>Pairs of the same sort, nearest first, each used once.</summary>
    internal static List<(int Seen, int Kept, double Mm)> Pair(
        IReadOnlyList<SeenPoint> seen,
        IReadOnlyList<SeenPoint> kept,
        Placement pose,
        double reachMm
    )
    {
        var close = new List<(double Mm, int Seen, int Kept)>();
        for (var i = 0; i < seen.Count; i++)
        {
            var at = pose.Apply(seen[i].At);
            for (var j = 0; j < kept.Count; j++)
            {
                if (
                    seen[i].IsHole != kept[j].IsHole
                    || Math.Abs(at.X - kept[j].X) > reachMm
                    || Math.Abs(at.Y - kept[j].Y) > reachMm
                )
                    continue;
                var d = (at - kept[j].At).Length;
                if (d <= reachMm)
                    close.Add((d, i, j));
            }
        }
        close.Sort();
        var (usedSeen, usedKept) = (new bool[seen.Count], new bool[kept.Count]);
        var pairs = new List<(int, int, double)>();
        foreach (var (mm, i, j) in close)
        {
            if (usedSeen[i] || usedKept[j])
                continue;
            usedSeen[i] = usedKept[j] = true;
            pairs.Add((i, j, mm));
        }
        return pairs;
    }

    /// <param name="pose">From the seen frame to the board's.</param>
    /// <param name="reachMm">Points closer than this are the same.</param>
    /// <param name="name">What the board is called in the sentences.</param>
    public static List<BoardDifference> Between(
        IReadOnlyList<SeenPoint> seen,
        IReadOnlyList<SeenPoint> kept,
        Placement pose,
        double reachMm,
        string name
    )
    {
        var list = new List<BoardDifference>();
        var pairs = Pair(seen, kept, pose, reachMm);
        foreach (var (i, j, _) in pairs)
        {
            var (s, k) = (seen[i], kept[j]);
            if (s.DiameterMm is { } d && k.DiameterMm is { } e && Math.Abs(d - e) > DiameterTolMm)
                Add(
                    "diameter",
                    FormattableString.Invariant($"{Call(k)} is {d:0.0#} mm wide here, {e:0.0#} mm on {name}."),
                    k
                );
            if (s.Kind is { } a && k.Kind is { } b && a != b)
                Add("kind", $"{Call(k)} is {PartNames.Of(a)} here, {PartNames.Of(b)} on {name}.", k);
            if (s.HeightMm is { } h && k.HeightMm is { } g && Math.Abs(h - g) > HeightTolMm)
                Add(
                    "height",
                    FormattableString.Invariant(
                        $"{Call(k)} stands {h:0.00} mm here, {g:0.00} mm on {name}: {h - g:+0.00;−0.00} mm."
                    ),
                    k
                );
        }
        var restSeen = Enumerable.Range(0, seen.Count).Except(pairs.Select(p => p.Seen)).ToList();
        var restKept = Enumerable.Range(0, kept.Count).Except(pairs.Select(p => p.Kept)).ToList();
        var (seenLeft, keptLeft) = (restSeen.ConvertAll(i => seen[i]), restKept.ConvertAll(j => kept[j]));
        var moved = Pair(seenLeft, keptLeft, pose, MovedMm);
        foreach (var (i, j, mm) in moved)
            Add(
                "moved",
                FormattableString.Invariant($"{Call(keptLeft[j])} sits {mm:0.00} mm from where {name} has it."),
                keptLeft[j]
            );
        for (var j = 0; j < keptLeft.Count; j++)
            if (!moved.Any(m => m.Kept == j))
                Add("not-seen", $"{Call(keptLeft[j])} of {name} was not seen.", keptLeft[j]);
        for (var i = 0; i < seenLeft.Count; i++)
        {
            if (moved.Any(m => m.Seen == i))
                continue;
            var at = pose.Apply(seenLeft[i].At);
            list.Add(
                new(
                    "extra",
                    FormattableString.Invariant($"{Call(seenLeft[i])} at {at.X:0.0}, {at.Y:0.0} is not on {name}."),
                    seenLeft[i].Id is { } id ? [id] : [],
                    [at.X, at.Y]
                )
            );
        }
        return list;
        void Add(string code, string text, SeenPoint k) =>
            list.Add(new(code, text, k.Id is { } id ? [id] : [], [k.X, k.Y]));
    }

    private static string Call(SeenPoint p) =>
        p switch
        {
            { IsHole: true, Id: { } id } => $"Hole {id}",
            { IsHole: true } => "A hole",
            { Kind: { } kind, Id: { } id } => $"{PartNames.Capital(kind)} {id}",
            { Id: { } id } => $"Part {id}",
            _ => "A part",
        };
}
