using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Teardown;

/// <summary>What the old pads and paste tell, before they are wiped away: a picture, then their thickness.</summary>
internal static class OldPads
{
    public static IEnumerable<WorkStep> Steps(WorkOrder order, Workpiece piece, TeardownPlan plan)
    {
        var lifted = plan.Steps.Where(s => s.Action == TeardownAction.Lift).Select(s => s.Target).ToHashSet();
        var bonds = piece
            .Board.Assembly!.Bonds.Where(b => b.Parts.Count > 0 && b.Between.Any(lifted.Contains))
            .ToList();
        if (bonds.Count == 0)
            yield break;
        List<string> parts = [.. bonds.SelectMany(b => b.Parts).Distinct()];
        var scope = order.ScopeOf(piece);
        var pads = bonds.Where(b => b.Kind == BondKind.Pads).SelectMany(b => b.Parts).Distinct().ToList();
        var what =
            pads.Count == 0 ? "paste"
            : pads.Count == parts.Count ? "pads"
            : "pads and paste";
        yield return new()
        {
            Id = TeardownStation.StepOf(scope, "photograph"),
            Kind = StepKind.Photograph,
            Board = piece.Key,
            Title = $"Photograph the old {what} where they stick{order.On(piece.Key)}, on both sides",
            Detail = "Before anything is wiped: where each lay, what it touched, where it was thin.",
            Done = "Photographed",
            Targets = parts,
            Acts =
            [
                new(Verb.Photograph, new(ThingKind.Board, piece.Key)),
                .. bonds
                    .SelectMany(b => b.Between)
                    .Where(lifted.Contains)
                    .Distinct()
                    .Select(p => new Act(
                        Verb.Photograph,
                        new(ThingKind.Piece, TeardownStation.BoardOf(order, piece, p), p)
                    )),
            ],
        };
        if (pads.Count > 0)
            yield return new()
            {
                Id = TeardownStation.StepOf(scope, "old-pads"),
                Kind = StepKind.Note,
                Board = piece.Key,
                Title =
                    $"Measure the old pads{order.On(piece.Key)}: at the rim where nothing pressed them, and in the middle",
                Detail =
                    "One of each kind will do. Their thickness tells the true gap, and what goes under the stock cooler when it goes back.",
                Done = "Measured",
                Feel = "The jaws just touch: a pad that gives under the caliper reads too thin.",
                Targets = pads,
                Acts = [new(Verb.Note, new(ThingKind.Board, piece.Key))],
            };
    }
}
