using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;

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
                Title = $"Stand card {use.Card} in slot {use.Slot}, its bracket screwed loosely",
                Detail =
                    use.Slots > 1
                        ? $"With its block it takes slots {use.Slot} to {use.Slot + use.Slots - 1}."
                        : "With its block it takes this slot only.",
                Done = "In its slot",
                Feel = "It slides in level until the slot's latch clicks; the bracket meets the case without a pull.",
                Acts = [new(Verb.Insert, new(ThingKind.Board, use.Card))],
            };
        foreach (var (link, i) in stand.Links.Select((l, i) => (l, i)))
            yield return new()
            {
                Id = new(Station.Mount, null, $"link-{i + 1}"),
                Kind = StepKind.Fit,
                Board = order.First.Key,
                Title = FormattableString.Invariant(
                    $"Join port {link.From.Port} of card {link.From.Card} to port {link.To.Port} of card {link.To.Card} by a rigid link, drawn to {link.DistanceMm:0.0} mm"
                ),
                Detail = FormattableString.Invariant(
                    $"It seals from {link.MinMm:0.0} to {link.MaxMm:0.0} mm and takes {link.MostOffsetMm:0.0} mm beside each other; here it is {link.OffsetMm:0.0} mm. Both O-rings wet, pushed straight; then the brackets firm."
                ),
                Caution = "A card that leans on its link pulls at both ports: brackets carry the cards.",
                Done = "Joined, square to both",
                Feel = "Pushed home it turns by hand and does not tip; neither ring is in sight.",
                Acts = [new(Verb.Join, Link(i), new(ThingKind.Board, link.To.Card))],
                Facts =
                [
                    new(FormattableString.Invariant($"{link.DistanceMm:0.0} mm"), "port to port"),
                    new("2", "O-rings"),
                ],
            };
    }
}
