using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Teardown;

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
            Title = OldPadsWords.PhotographOldPadsAndPaste(what, order.On(piece.Key)),
            Detail = OldPadsWords.BeforeAnythingIsWiped,
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
                Title = OldPadsWords.MeasureOldPads(order.On(piece.Key)),
                Detail = OldPadsWords.OneOfEachKindWillDo,
                Done = "Measured",
                Feel = OldPadsWords.JawsJustTouch,
                Targets = pads,
                Acts = [new(Verb.Note, new(ThingKind.Board, piece.Key))],
            };
    }
}
