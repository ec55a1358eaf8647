using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Words.Prep;

namespace FaithfulBracket.Core.Prep;

public enum DryFitState
{
    Fine,
    Look,
    Trouble,
}

/// <summary>One thing to check with the block laid on dry.</summary>
public sealed record DryFitCheck(string Id, DryFitState State, Message Text, IReadOnlyList<string> Parts);

/// <summary>The dry-fit list, out of the documents: holes, leads, ports, bracket, covers, overhang.</summary>
public static class DryFit
{
    private const double TightMm = 1,
        OverhangMm = 0.5;

    public static IReadOnlyList<DryFitCheck> Create(LaidBlock laid, FitResult fit)
    {
        var (board, block, _) = laid;
        var checks = new List<DryFitCheck>();
        void Add(string id, DryFitState state, Message text, params string[] parts) =>
            checks.Add(new(id, state, text, parts));
        var plates = block.Plates.Where(p => p.Face == Face.Front).Select(p => fit.Placement.Apply(p.Outline)).ToList();
        var required = fit.Screws.Where(s => s.Required).ToList();
        var missing = required.Where(s => !s.Passes).Select(s => s.BlockHole).ToList();
        Add(
            "holes",
            missing.Count == 0 ? DryFitState.Fine : DryFitState.Trouble,
            missing.Count == 0
                ? required.Count switch
                {
                    0 => DryFitWords.NoScrewOf,
                    1 => DryFitWords.OneHoleInSightScrewDrops,
                    var all => DryFitWords.AllHolesInSightEachScrew(all),
                }
                : DryFitWords.WillNotLineUp(string.Join(", ", missing))
        );
        if (fit.Clashes.Count > 0)
            Add(
                "clash",
                DryFitState.Trouble,
                DryFitWords.WillMeetBlock(string.Join(", ", fit.Clashes.Select(c => c.Part))),
                [.. fit.Clashes.Select(c => c.Part)]
            );
        else if (fit.Margins.Count > 0 && fit.Margins[0].MarginMm < TightMm)
            Add(
                "tight",
                DryFitState.Look,
                DryFitWords.LookAtFromSide(fit.Margins[0].Part, fit.Margins[0].MarginMm),
                fit.Margins[0].Part
            );
        List<Part> Under(PartKind kind) =>
            [
                .. board.Parts.Where(p =>
                    p.Face == Face.Front
                    && p.Kind == kind
                    && plates.Any(o => Geometry.PolygonOverlap.Area(o, p.Top()) > 0.2 * p.Top().Area)
                ),
            ];
        if (Under(PartKind.Connector) is { Count: > 0 } plugs)
            Add(
                "leads",
                DryFitState.Trouble,
                DryFitWords.UnderPlatePlugInItWould(
                    string.Join(", ", plugs.Select(p => p.Id)),
                    plugs.Count == 1 ? "lies" : "lie"
                ),
                [.. plugs.Select(p => p.Id)]
            );
        else
            Add("leads", DryFitState.Fine, DryFitWords.NoPlugLiesUnderPlate);
        if (Under(PartKind.Cover) is { Count: > 0 } covers)
            Add(
                "covers",
                DryFitState.Trouble,
                DryFitWords.HasToComeOff(string.Join(", ", covers.Select(p => p.Id))),
                [.. covers.Select(p => p.Id)]
            );
        var over = Overhang(board, plates);
        if (over.Count > 0)
            Add(
                "overhang",
                DryFitState.Look,
                DryFitWords.BlockReachesPast(
                    string.Join(
                        " and the ",
                        over.Select(o => FormattableString.Invariant($"{o.Edge} edge by {o.Mm:0} mm"))
                    )
                )
            );
        foreach (var port in block.Ports.Where(p => p.Facing is not null).GroupBy(p => p.Facing))
            Add(
                $"ports-{port.Key}",
                DryFitState.Look,
                DryFitWords.PortsFaceFittingTurnsThereWithout(string.Join(" and ", port.Select(p => p.Id)), port.Key)
            );
        if (block.BracketSlots is { } slots && board.Slots is { } wide)
            Add(
                "bracket",
                slots == wide ? DryFitState.Fine : DryFitState.Look,
                slots == wide
                    ? DryFitWords.BracketStaysAs
                    : DryFitWords.BracketChangesFrom(wide, HowMany.Count(slots, "slot"))
            );
        if (
            block.BackPlate is { } back
            && board.Parts.Where(p => p.Face == Face.Back && p.Kind != PartKind.Empty).ToList() is { Count: > 0 } behind
        )
        {
            var tallest = behind.MaxBy(p => p.HeightMm)!;
            Add(
                "back",
                back.StandoffMm is { } s && tallest.HeightMm > s && !back.Lands.Any(l => l.Part == tallest.Id)
                    ? DryFitState.Trouble
                    : DryFitState.Look,
                DryFitWords.LayBackPlate(tallest.Id, tallest.HeightMm),
                tallest.Id
            );
        }
        return checks;
    }

    private static List<(string Edge, double Mm)> Overhang(Board board, List<Geometry.Polygon> plates)
    {
        var b = board.Outline.Bounds;
        List<(string Edge, double Mm)> all =
            plates.Count == 0
                ? []
                :
                [
                    ("left", b.MinX - plates.Min(p => p.Bounds.MinX)),
                    ("right", plates.Max(p => p.Bounds.MaxX) - b.MaxX),
                    ("lower", b.MinY - plates.Min(p => p.Bounds.MinY)),
                    ("upper", plates.Max(p => p.Bounds.MaxY) - b.MaxY),
                ];
        return [.. all.Where(e => e.Mm > OverhangMm)];
    }
}
