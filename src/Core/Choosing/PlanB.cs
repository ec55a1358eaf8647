using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Words.Choosing;

namespace FaithfulBracket.Core.Choosing;

/// <summary>A sink on a part that the block leaves bare, with and without a fan on it.</summary>
/// <param name="StillC">In still case air, °C.</param>
/// <param name="FanC">With a fan on it, °C.</param>
/// <param name="FitsHeight">Whether it stays under the block's ports and neighbours.</param>
public sealed record PlanBSink(
    string Part,
    PartKind Kind,
    double? WidthMm,
    double? DepthMm,
    double? HeightMm,
    double StillC,
    double FanC,
    double? LimitC,
    string FinDirection,
    Message Text
);

/// <param name="NeedsFan">Whether a part passes its limit only with a fan.</param>
/// <param name="GivesUp">What this plan costs against a full cover.</param>
public sealed record PlanBResult(
    string? BlockId,
    string? BlockName,
    Verdict? Verdict,
    IReadOnlyList<PlanBSink> Sinks,
    bool NeedsFan,
    bool AllHold,
    Message Text,
    IReadOnlyList<string> GivesUp
);

/// <summary>When nothing seats: the die on water, the rest on air.</summary>
public static class PlanB
{
    /// <summary>Share of the still-air resistance that is left with a fan: forced against free convection on a small finned sink.</summary>
    public const double FanShare = 0.4;

    /// <summary>Resistance of a bare part's own top and board to air, K/W, when no sink is left for it.</summary>
    private const double BareKPerW = 60;

    /// <param name="blocks">The library; only core-only blocks count.</param>
    /// <param name="airC">Air in the case, °C.</param>
    /// <param name="airflow">Where it flows, for the fins: along x or y.</param>
    public static PlanBResult For(
        Board board,
        IReadOnlyCollection<Block> blocks,
        double airC = 40,
        string airflow = "x",
        CancellationToken cancel = default
    )
    {
        var best = FitScan
            .Run(board, [.. blocks.Where(b => b.Kind == BlockKind.CoreOnly)], cancel: cancel)
            .Where(e => e.Verdict != Verdict.Clashes)
            .OrderBy(e => e.Verdict)
            .ThenBy(e => e.Grade)
            .FirstOrDefault();
        if (best?.Fit is not { } fit)
            return OnAir(board, blocks, airC, airflow);
        var given = fit.Sinks.ToDictionary(s => s.Part);
        var sinks = fit
            .Uncovered.Select(id => Sink(board.FindPart(id)!, given.GetValueOrDefault(id), airC, airflow))
            .OrderByDescending(s => s.StillC - (s.LimitC ?? 1000))
            .ToList();
        var stillFails = sinks.Where(s => s.LimitC is { } l && s.StillC > l).ToList();
        var fanFails = sinks.Where(s => s.LimitC is { } l && s.FanC > l).ToList();
        var name = $"{best.Block.Maker} {best.Block.Model}";
        var text =
            fanFails.Count > 0 ? PlanBWords.OnDiePassesLimitEven(name, fanFails[0].Part)
            : stillFails.Count > 0
                ? PlanBWords.OnDieSinksOnAndFan(name, HowMany.Count(sinks.Count, "part"), stillFails[0].Part)
            : PlanBWords.OnDieSinks(name, HowMany.Count(sinks.Count, "part"));
        return new(
            best.Block.Id,
            name,
            best.Verdict,
            sinks,
            stillFails.Count > 0 && fanFails.Count == 0,
            fanFails.Count == 0,
            text,
            [
                $"{HowMany.Count(sinks.Count, PlanBWords.PartStaysOnAirAndNeeds, PlanBWords.PartsStayOnAirAndNeed)} "
                    + $"{(stillFails.Count > 0 ? "a fan" : "case airflow")}.",
                PlanBWords.StayInCase(sinks.Sum(s => board.FindPart(s.Part)!.DissipationW)),
                sinks.Any(s => s.HeightMm is > 12)
                    ? PlanBWords.TallSinksMayMeetNextCard
                    : PlanBWords.SinksStayWithinCardsOwnHeight,
            ]
        );
    }

    /// <summary>Without any block: dies and lids keep their stock cooler, the other hot parts take sinks that the shop can buy.</summary>
    private static PlanBResult OnAir(Board board, IEnumerable<Block> blocks, double airC, string airflow)
    {
        var shelf = blocks.FirstOrDefault(b => b.Kit is { Sinks.Count: > 0 });
        var hot = board.Parts.Where(p => p.Cool != Cooling.No).ToList();
        var kept = hot.Where(p => p.Kind is PartKind.Die or PartKind.Lid).ToList();
        var bare = hot.Except(kept).ToList();
        var given = shelf is null
            ? []
            : PassiveSinks
                .For(board, Endless(shelf, bare.Count), [.. bare.Select(p => p.Id)], airC)
                .ToDictionary(s => s.Part);
        var sinks = bare.Select(p => Sink(p, given.GetValueOrDefault(p.Id), airC, airflow))
            .OrderByDescending(s => s.StillC - (s.LimitC ?? 1000))
            .ToList();
        var stillFails = sinks.Where(s => s.LimitC is { } l && s.StillC > l).ToList();
        var fanFails = sinks.Where(s => s.LimitC is { } l && s.FanC > l).ToList();
        var first =
            kept.Count > 0
                ? PlanBWords.NoCoreOnlyBlockOfLibrary(
                    string.Join(", ", kept.Select(p => p.Id)),
                    kept.Count == 1 ? "keeps its" : "keep their"
                )
                : PlanBWords.NoCoreOnlyBlockOfLibraryGoes;
        var rest =
            sinks.Count == 0 ? PlanBWords.NothingElseIsHot
            : fanFails.Count > 0 ? PlanBWords.PassesLimitEvenWithFan(fanFails[0].Part)
            : stillFails.Count > 0
                ? PlanBWords.SinksOnAndFanOnThem(HowMany.Count(sinks.Count, "part"), stillFails[0].Part)
            : PlanBWords.SinksOnCaseAirflowIsEnough(HowMany.Count(sinks.Count, "part"));
        return new(
            null,
            null,
            null,
            sinks,
            stillFails.Count > 0 && fanFails.Count == 0,
            fanFails.Count == 0,
            $"{first}; {rest}",
            [PlanBWords.StayInCase(hot.Sum(p => p.DissipationW))]
        );
    }

    /// <summary>Sinks are bought as many as there are parts.</summary>
    private static Block Endless(Block block, int count) =>
        block with
        {
            Kit = block.Kit! with { Sinks = [.. block.Kit.Sinks.Select(s => s with { Count = count })] },
        };

    private static PlanBSink Sink(Part part, PassiveSink? sink, double airC, string airflow)
    {
        var resistance = sink?.RKPerW ?? BareKPerW;
        double still = airC + part.DissipationW * resistance,
            fan = airC + part.DissipationW * resistance * FanShare;
        var limit = part.LimitC is { } l ? FormattableString.Invariant($" of {l:0} °C allowed") : "";
        var what = sink is null
            ? PlanBWords.NoSinkIsLeft
            : FormattableString.Invariant(
                $"sink {sink.WidthMm:0.#} × {sink.DepthMm:0.#} × {sink.HeightMm:0.#}, fins along {airflow}"
            );
        return new(
            part.Id,
            part.Kind,
            sink?.WidthMm,
            sink?.DepthMm,
            sink?.HeightMm,
            still,
            fan,
            part.LimitC,
            airflow,
            PlanBWords.InStillAirWithFan(part.Id, part.DissipationW, what, still, fan, limit)
        );
    }
}
