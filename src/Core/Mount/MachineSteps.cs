using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Mount;

namespace FaithfulBracket.Core.Mount;

/// <summary>Cards into their slots, and the rigid links between their ports.</summary>
internal static class MachineSteps
{
    /// <summary>A rigid link of the machine.</summary>
    /// <param name="i">Which, from 0.</param>
    public static ThingId Link(int i) => new(ThingKind.Link, $"L{i + 1}");

    public static IEnumerable<WorkStep> Steps(WorkOrder order, MatchResult match)
    {
        if (match.Order?.Machine is not { } stand)
            yield break;
        foreach (var use in stand.Slots)
            yield return new()
            {
                Id = new(Station.Mount, use.Card == order.First.Key ? null : use.Card, "slot"),
                Kind = StepKind.Fit,
                Board = use.Card,
                Title = MachineStepsWords.StandCardInSlotBracketScrewed(use.Card, use.Slot),
                Detail =
                    use.Slots > 1
                        ? MachineStepsWords.WithBlockItTakesSlots(use.Slot, use.Slot + use.Slots - 1)
                        : MachineStepsWords.WithBlockItTakesThisSlot,
                Done = MachineStepsWords.InSlot,
                Feel = MachineStepsWords.ItSlidesInLevelUntilSlots,
                Acts = [new(Verb.Insert, new(ThingKind.Board, use.Card))],
            };
        foreach (var (link, i) in stand.Links.Select((l, i) => (l, i)))
            yield return new()
            {
                Id = new(Station.Mount, null, $"link-{i + 1}"),
                Kind = StepKind.Fit,
                Board = order.First.Key,
                Title = MachineStepsWords.JoinPortOfCardToPort(
                    link.From.Port,
                    link.From.Card,
                    link.To.Port,
                    link.To.Card,
                    link.DistanceMm
                ),
                Detail = MachineStepsWords.ItSealsFromToAndTakes(
                    link.MinMm,
                    link.MaxMm,
                    link.MostOffsetMm,
                    link.OffsetMm
                ),
                Caution = MachineStepsWords.CardThatLeansOnLinkPulls,
                Done = MachineStepsWords.JoinedSquareToBoth,
                Feel = MachineStepsWords.PushedHomeItTurnsByHand,
                Acts = [new(Verb.Join, Link(i), new(ThingKind.Board, link.To.Card))],
                Facts =
                [
                    new(FormattableString.Invariant($"{link.DistanceMm:0.0} mm"), "port to port"),
                    new("2", "O-rings"),
                ],
            };
    }
}
