using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Schedule;

namespace FaithfulBracket.Core.Plans;

/// <summary>What one way of cutting the pads of an order costs.</summary>
/// <param name="Minutes">Cutting, peeling and laying, until the shop's own times tell better.</param>
/// <param name="PadMm2">Of pad that is laid.</param>
/// <param name="LeftMm2">Of the sheets that are cut, what is no piece: offcuts and waste.</param>
/// <param name="BridgesN">What strips push back with between their parts; null where nothing is screwed down.</param>
/// <param name="OwnWay">Whether it is the way chosen.</param>
public sealed record CutWeight(
    PadCutting Way,
    int Pieces,
    int Cuts,
    double Minutes,
    double PadMm2,
    double LeftMm2,
    double? BridgesN,
    bool OwnWay
)
{
    /// <summary>Both films off and the piece pressed on, minutes.</summary>
    public const double MinutesAPiece = 0.4;

    /// <summary>In words.</summary>
    public Message Text =>
        (Message)
            $"{HowMany.Count(Pieces, "piece")}, {HowMany.Count(Cuts, "cut")}, about {Minutes:0} min, {PadMm2 / 100:0.#} cm² of pad"
        + (BridgesN is >= 0.5 ? (Message)$", {BridgesN:0} N between the parts" : Message.Empty);

    /// <summary>The way chosen first; one entry where strips join nothing.</summary>
    /// <param name="plan">The pads of the order cut in a way.</param>
    public static IReadOnlyList<CutWeight> Compute(Func<PadCutting, PadsResult> plan, PadCutting chosen)
    {
        var strips = plan(PadCutting.Strips);
        List<CutWeight> list = [For(strips, PadCutting.Strips, chosen)];
        if (strips.Pieces.Any(p => p.Parts.Count > 1))
            list.Add(For(plan(PadCutting.Each), PadCutting.Each, chosen));
        return [.. list.OrderByDescending(w => w.OwnWay)];
    }

    private static CutWeight For(PadsResult pads, PadCutting way, PadCutting chosen)
    {
        var cuts = pads.Cutting?.Sheets.Sum(s => s.Cuts.Count) ?? 0;
        var area = pads.Pieces.Sum(p => p.WidthMm * p.DepthMm);
        var seated = pads.Pairs.Where(p => p.Seating is not null).ToList();
        return new(
            way,
            pads.Pieces.Count,
            cuts,
            cuts * StepMinutes.Usual(StepKind.Cut) + pads.Pieces.Count * MinutesAPiece,
            area,
            (pads.Cutting?.Sheets.Sum(s => s.WidthMm * s.DepthMm - s.Placements.Sum(p => p.WidthMm * p.DepthMm)) ?? 0),
            seated.Count == 0 ? null : seated.Sum(p => p.Seating!.BridgesN ?? 0),
            way == chosen
        );
    }
}
