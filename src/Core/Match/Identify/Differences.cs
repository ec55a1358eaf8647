using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Words.Match.Identify;

namespace FaithfulBracket.Core.Match.Identify;

/// <summary>Something that is not the same on two boards.</summary>
/// <param name="Code">not-seen, extra, moved, diameter, height or kind.</param>
/// <param name="Refs">Ids of the holes or parts.</param>
/// <param name="AtMm">Where, in the candidate's frame.</param>
public sealed record BoardDifference(string Code, Message Text, IReadOnlyList<string> Refs, IReadOnlyList<double> AtMm)
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

    /// <summary>One difference before it is put into words.</summary>
    /// <param name="Seen">What was seen; null where nothing was.</param>
    /// <param name="Kept">What the board has; null where it has nothing there.</param>
    /// <param name="Mm">How far a moved one sits from its place.</param>
    internal readonly record struct Found(string Code, SeenPoint? Seen, SeenPoint? Kept, Point2 At, double Mm);

    /// <param name="pose">From the seen frame to the board's.</param>
    /// <param name="reachMm">Points closer than this are the same.</param>
    /// <param name="name">What the board is called in the sentences.</param>
    public static List<BoardDifference> Between(
        IReadOnlyList<SeenPoint> seen,
        IReadOnlyList<SeenPoint> kept,
        Placement pose,
        double reachMm,
        string name
    ) =>
        [
            .. Places(seen, kept, pose, reachMm)
                .Select(f => new BoardDifference(
                    f.Code,
                    Words(f, name),
                    (f.Kept ?? f.Seen)!.Id is { } id ? [id] : [],
                    [f.At.X, f.At.Y]
                )),
        ];

    /// <summary>The same without words: where anything differs.</summary>
    internal static List<Found> Places(
        IReadOnlyList<SeenPoint> seen,
        IReadOnlyList<SeenPoint> kept,
        Placement pose,
        double reachMm
    )
    {
        var list = new List<Found>();
        var pairs = Pair(seen, kept, pose, reachMm);
        var (pairedSeen, pairedKept) = (new bool[seen.Count], new bool[kept.Count]);
        foreach (var (i, j, _) in pairs)
        {
            pairedSeen[i] = pairedKept[j] = true;
            var (s, k) = (seen[i], kept[j]);
            if (s.DiameterMm is { } d && k.DiameterMm is { } e && Math.Abs(d - e) > DiameterTolMm)
                list.Add(new("diameter", s, k, k.At, 0));
            if (s.Kind is { } a && k.Kind is { } b && a != b)
                list.Add(new("kind", s, k, k.At, 0));
            if (s.HeightMm is { } h && k.HeightMm is { } g && Math.Abs(h - g) > HeightTolMm)
                list.Add(new("height", s, k, k.At, 0));
        }
        List<SeenPoint> seenLeft = [.. seen.Where((_, i) => !pairedSeen[i])],
            keptLeft = [.. kept.Where((_, j) => !pairedKept[j])];
        var moved = Pair(seenLeft, keptLeft, pose, MovedMm);
        var (movedSeen, movedKept) = (new bool[seenLeft.Count], new bool[keptLeft.Count]);
        foreach (var (i, j, mm) in moved)
        {
            movedSeen[i] = movedKept[j] = true;
            list.Add(new("moved", seenLeft[i], keptLeft[j], keptLeft[j].At, mm));
        }
        for (var j = 0; j < keptLeft.Count; j++)
            if (!movedKept[j])
                list.Add(new("not-seen", null, keptLeft[j], keptLeft[j].At, 0));
        for (var i = 0; i < seenLeft.Count; i++)
            if (!movedSeen[i])
                list.Add(new("extra", seenLeft[i], null, pose.Apply(seenLeft[i].At), 0));
        return list;
    }

    private static Message Words(Found f, string name) =>
        f.Code switch
        {
            "diameter" => DifferencesWords.IsWideHere(Call(f.Kept!), f.Seen!.DiameterMm, f.Kept!.DiameterMm, name),
            "kind" => (Message)
                $"{Call(f.Kept!)} is {PartNames.Describe(f.Seen!.Kind!.Value)} here, {PartNames.Describe(f.Kept!.Kind!.Value)} on {name}.",
            "height" => DifferencesWords.StandsHereOn(Call(f.Kept!), f.Seen!.HeightMm, f.Kept!.HeightMm, name)
                + (Message)$"{f.Seen.HeightMm - f.Kept.HeightMm:+0.00;−0.00} mm.",
            "moved" => DifferencesWords.SitsFromWhere(Call(f.Kept!), f.Mm, name),
            "not-seen" => DifferencesWords.OfWasNotSeen(Call(f.Kept!), name),
            _ => DifferencesWords.AtIsNot(Call(f.Seen!), f.At.X, f.At.Y, name),
        };

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
