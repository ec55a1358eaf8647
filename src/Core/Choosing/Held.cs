using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;

namespace FaithfulBracket.Core.Choosing;

/// <summary>What carries a part's heat under a candidate.</summary>
public enum HeldBy
{
    Block,
    Sink,
    Nothing,
}

/// <summary>What a candidate holds the hottest part of a kind at.</summary>
/// <param name="C">Null where nothing can be said.</param>
/// <param name="RangeK">Half the 95 % range, K; null for a sink on air, which the case decides.</param>
public sealed record Held(
    PartKind Kind,
    string Name,
    string Part,
    HeldBy By,
    double? C,
    double? RangeK,
    double? LimitC
);

/// <summary>Dies, memory and power stages under a candidate: over water where a land covers them, on the kit's sinks beside it.</summary>
internal static class HeldParts
{
    private static readonly PartKind[] Stated =
    [
        PartKind.Die,
        PartKind.Lid,
        PartKind.Memory,
        PartKind.PowerStage,
        PartKind.BridgeChip,
    ];

    public static IReadOnlyList<Held> Compute(
        Board board,
        Block block,
        FitResult fit,
        IReadOnlyDictionary<string, PadMaterial> materials,
        PasteMaterial paste,
        HeatConditions at,
        CancellationToken cancel
    )
    {
        if (fit.Verdict == Verdict.Clashes)
            return [];
        var kinds = Expected(board, block, materials, paste, at, cancel);
        var list = new List<Held>();
        foreach (var kind in Stated)
        {
            var parts = board.Parts.Where(p => p.Kind == kind && p.DissipationW > 0).Select(p => p.Id).ToHashSet();
            if (parts.Count == 0)
                continue;
            if (kinds.FirstOrDefault(k => k.Kind == kind) is { } under)
                list.Add(new(kind, under.Name, under.Hottest, HeldBy.Block, under.C, under.RangeK, under.LimitC));
            if (fit.Sinks.Where(s => parts.Contains(s.Part)).MaxBy(s => s.TemperatureC) is { } sink)
                list.Add(
                    new(
                        kind,
                        $"{PartNames.Describe(kind)} on a sink",
                        sink.Part,
                        HeldBy.Sink,
                        sink.TemperatureC,
                        null,
                        sink.LimitC
                    )
                );
            var bare = fit.Uncovered.FirstOrDefault(u => parts.Contains(u) && !fit.Sinks.Any(s => s.Part == u));
            if (bare is not null)
                list.Add(
                    new(kind, PartNames.Describe(kind), bare, HeldBy.Nothing, null, null, board.FindPart(bare)!.LimitC)
                );
        }
        return list;
    }

    private static IReadOnlyList<ExpectedKind> Expected(
        Board board,
        Block block,
        IReadOnlyDictionary<string, PadMaterial> materials,
        PasteMaterial paste,
        HeatConditions at,
        CancellationToken cancel
    )
    {
        try
        {
            return ExpectedKinds.Compute(
                board,
                Expect.Compute(LaidBlock.Create(board, block), null, materials, paste, at, cancel)
            );
        }
        catch (InputException)
        {
            // a block without a curve, or one that rests on no die: nothing is said rather than something wrong
            return [];
        }
    }
}
