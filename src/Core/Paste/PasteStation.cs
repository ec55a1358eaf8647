using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Prep;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Words.Paste;

namespace FaithfulBracket.Core.Paste;

public sealed record PasteResult(IReadOnlyList<PasteFace> Faces, StationPlan Sheet)
{
    /// <summary>All faces together, g.</summary>
    public double MassG => Faces.Sum(f => f.Amount.MassG);
}

/// <summary>Paste: on each die or lid, by the amount calculated.</summary>
public sealed class PasteStation : IStation<PasteResult>
{
    public PasteResult Plan(PlanContext context, EarlierResults earlier)
    {
        var (order, ways, shop) = (context.Order, context.Ways, context.Shop);
        var pads = earlier.Get<PadsResult>();
        if (pads.Pairs.Count == 0)
            return new([], new(Station.Paste, $"waits for a block", true, []));
        if (context.Paste is not { } paste)
            return new([], new(Station.Paste, PasteStationWords.NoPasteInDrawer, true, []));
        var faces = new List<PasteFace>();
        foreach (var pair in pads.Pairs)
        foreach (var die in pair.Seating?.Dies.Where(d => d.LoadN > 0) ?? [])
            faces.Add(Face(pair, die, paste, ways, shop, earlier.SeatOf(pair.Pair, pair.Board)));
        if (faces.Count == 0)
            return new([], new(Station.Paste, PasteStationWords.NoFaceTakesPaste, false, []));
        return new(faces, Sheet(order, faces, paste, shop));
    }

    private static PasteFace Face(
        PairPads pair,
        DieContact die,
        PasteStock paste,
        Ways ways,
        ShopSettings shop,
        SeatPlan? seat
    )
    {
        var laid = pair.Stack!.Laid;
        var part = laid.Board.FindPart(die.Part)!;
        var liquid = paste.Material.LiquidMetal;
        var crown = part.Kind == PartKind.Lid ? seat?.Crown?.CrownMm ?? 0 : 0;
        var amount = PasteAmount.For(
            part.Top().Area,
            paste.Material,
            die.LoadN,
            shop.PasteMargin,
            paste.BoreMm,
            shop.BeadMm,
            crown
        );
        var surface = PasteMethods.SurfaceOf(part);
        var method =
            liquid ? PasteWay.Film
            : part.Kind == PartKind.Lid ? ways.PasteLid
            : ways.PasteDie;
        var (refusals, cautions) = liquid
            ? PasteMethods.LiquidMetal(laid.Board, laid.Block, part, seat?.Coat)
            : ([], []);
        return new(
            die.Part,
            paste.Id,
            die.LoadN,
            amount,
            method,
            liquid ? PasteStationWords.LiquidMetalThinFilmOnDie : PasteMethods.Why(surface, method, part),
            paste.GramsLeft,
            amount.MassG > 0 ? (int)Math.Floor(paste.GramsLeft / amount.MassG) : 0
        )
        {
            Pair = pair.Pair,
            Board = pair.Board,
            Surface = surface,
            CrownMm = crown,
            School = PasteMethods.SchoolOf(part),
            LiquidPerFaceUl = liquid ? PasteMethods.LiquidPerFaceUl(amount.AreaMm2) : null,
            Refusals = refusals,
            Cautions = cautions,
        };
    }

    private static StationPlan Sheet(WorkOrder order, List<PasteFace> faces, PasteStock paste, ShopSettings shop)
    {
        List<WorkStep> steps = [.. faces.Select(f => Step(order, f, paste, shop))];
        if (faces.Find(f => f.Refusals.Count > 0) is { } refused)
            return new(Station.Paste, $"not this on {refused.Part}", true, steps);
        var grams = faces.Sum(f => f.Amount.MassG);
        var enough = paste.GramsLeft + order.Pairs.Sum(p => p.Block.Kit?.PasteG ?? 0) >= grams;
        var method = faces[0].Method.ToString().ToLowerInvariant();
        return new(Station.Paste, $"{grams:0.00} g {method}{(enough ? "" : ", tube is short")}", !enough, steps);
    }

    private static WorkStep Step(WorkOrder order, PasteFace f, PasteStock paste, ShopSettings shop) =>
        new()
        {
            Id = new(Station.Paste, order.ScopeOf(order.Pairs.First(p => p.Key == f.Pair), f.Board), f.Part),
            Kind = StepKind.Spread,
            Paste = f.Method,
            Board = f.Board,
            Pair = f.Pair,
            Title = Title(f, f.Part + order.On(f.Board), paste, shop),
            Detail = f.Refusals.Count > 0 ? Message.Join(f.Refusals) : f.Why,
            Caution =
                f.Refusals.Count > 0 ? PasteStationWords.NotPossible(f.Refusals[0])
                : f.Cautions.Count > 0 ? Message.Join(f.Cautions.Take(2))
                : f.Method == PasteWay.Spread ? PasteStationWords.BareCornerOverheats
                : null,
            Done = "Covered",
            Targets = [f.Part],
            Facts = f.LiquidPerFaceUl is { } drop
                ?
                [
                    new(FormattableString.Invariant($"{drop:0} µL"), PasteStationWords.OnEachOfTwoFaces),
                    new(FormattableString.Invariant($"{f.Amount.BondLineUm:0} µm"), "film"),
                    new(FormattableString.Invariant($"{f.Amount.PlungerMm:0.00} mm"), "of plunger"),
                ]
                :
                [
                    new(FormattableString.Invariant($"{f.Amount.MassG:0.00} g"), "paste"),
                    new(FormattableString.Invariant($"{f.Amount.PlungerMm:0.0} mm"), "of plunger"),
                    new(
                        FormattableString.Invariant($"{f.Amount.LineLengthMm:0} mm"),
                        FormattableString.Invariant($"of {shop.BeadMm:0.0} mm bead")
                    ),
                ],
        };

    private static Message Title(PasteFace f, string part, PasteStock paste, ShopSettings shop)
    {
        var name = paste.Material.Id ?? paste.Id;
        return f.Method switch
        {
            PasteWay.Film => PasteStationWords.FilmOfOnAndOnContact(name, part, f.LiquidPerFaceUl),
            PasteWay.Cross => PasteStationWords.DrawCrossOnArmsBead(part, f.Amount.CrossArmMm, shop.BeadMm),
            PasteWay.Line => PasteStationWords.DrawLineOnLongBead(part, f.Amount.LineLengthMm, shop.BeadMm),
            PasteWay.Dot => PasteStationWords.OneDotInMiddleOfAcross(part, f.Amount.DotDiameterMm),
            _ => PasteStationWords.SpreadOfOverEdgeToEdge(f.Amount.MassG, name, part),
        };
    }
}
