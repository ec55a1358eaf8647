using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Match;

/// <summary>How far a reason moves the verdict.</summary>
public enum Weight
{
    Note,
    Work,
    Clash,
}

public sealed record Judgement(Weight Weight, Reason Reason);

/// <summary>What has to agree beyond holes and heights: socket, bracket, headers, and whether the board runs without its block.</summary>
public static class Envelope
{
    /// <summary>From one slot to the next, and the room above a board within its own slot (PCIe CEM), mm.</summary>
    private const double SlotPitchMm = 20.32,
        SlotRoomMm = 14.47;

    /// <summary>A straight fitting with its tube, mm.</summary>
    private const double FittingMm = 35;

    /// <summary>Connectors lower than this take no plug from above, mm.</summary>
    private const double PlugMm = 5;

    public static IEnumerable<Judgement> Judge(Board board, Block block)
    {
        if (board.Socket is { } socket && block.Sockets.Count > 0)
        {
            var fit = block.Sockets.FirstOrDefault(s => s.Socket == socket);
            if (fit is null)
                yield return new(
                    Weight.Clash,
                    new(
                        "socket",
                        $"The board's socket is {socket}; the block is made for {string.Join(", ", block.Sockets.Select(s => s.Socket))}.",
                        []
                    )
                );
            else if (!string.IsNullOrEmpty(fit.Kit))
                yield return new(Weight.Work, new("socket-kit", $"Socket {socket} needs {fit.Kit}.", []));
            if (fit is { JetPlate: { } jet })
                yield return new(
                    Weight.Note,
                    new(
                        "jet-plate",
                        $"Socket {socket} takes jet plate "
                            + $"{jet}{(fit.Insert is { } insert ? $" with insert {insert}" : "")}; the slit lies across "
                            + "the fins.",
                        []
                    )
                );
        }
        if (board.Slots is { } have && block.BracketSlots is { } need && need != have)
            yield return new(
                Weight.Note,
                new(
                    "bracket",
                    $"The bracket changes from {Slots(have)} to {Slots(need)}; the block brings its own.",
                    []
                )
            );
        if (block.HeightMm is { } height)
        {
            var slots = (int)Math.Ceiling((height - SlotRoomMm) / SlotPitchMm) + 1;
            if (block.BracketSlots is { } bracket && slots > bracket)
                yield return new(
                    Weight.Note,
                    new(
                        "neighbour",
                        FormattableString.Invariant(
                            $"The block stands {height:0.#} mm over the board and reaches past its {bracket}-slot bracket: {slots - bracket} more {(slots - bracket == 1 ? "has" : "have")} to stay free."
                        ),
                        []
                    )
                );
            if (
                board.Kind == BoardKind.GraphicsCard
                && block.Ports.Where(p => p.Facing == "up").ToList() is { Count: > 0 } up
            )
                yield return new(
                    Weight.Note,
                    new(
                        "case-room",
                        FormattableString.Invariant(
                            $"Ports facing up rise to {up.Max(p => p.Y) - board.Outline.Bounds.MinY + FittingMm:0} mm above the slot with a {FittingMm:0} mm fitting: check the case's side panel."
                        ),
                        [.. up.Select(p => p.Id)]
                    )
                );
        }
        if (board.Kind == BoardKind.GraphicsCard && block.Ports.Count >= 2)
        {
            var (a, b) = (block.Ports[0], block.Ports[1]);
            yield return new(
                Weight.Note,
                new(
                    "port-spacing",
                    FormattableString.Invariant(
                        $"Ports {a.Id} and {b.Id} are {Math.Sqrt((a.X - b.X) * (a.X - b.X) + (a.Y - b.Y) * (a.Y - b.Y)):0.0} mm apart: rigid links to a next card need the same."
                    ),
                    [a.Id, b.Id]
                )
            );
        }
        foreach (
            var plug in board.Parts.Where(p =>
                p.Kind == PartKind.Connector && p.Face == Face.Front && p.HeightMm >= PlugMm
            )
        )
            if (block.Plates.Any(plate => plate.Face == Face.Front && plate.Outline.Contains(plug.At)))
                yield return new(
                    Weight.Note,
                    new(
                        "connector-under",
                        $"Connector {plug.Id} lies under the plate: see that its plug can still go in.",
                        [plug.Id]
                    )
                );
        foreach (var kind in block.Headers.GroupBy(h => h))
        {
            var free = board.Headers.Count(h => h.Kind == kind.Key);
            if (free < kind.Count())
                yield return new(
                    Weight.Note,
                    new(
                        "header",
                        $"The block wants {HowMany.Of(kind.Count(), $"{kind.Key} header")}, the board has {free}: that lead goes elsewhere or stays dark.",
                        []
                    )
                );
        }
        if (!board.UsableWithoutBlock)
            yield return new(
                Weight.Note,
                new("not-without-block", "This board may not run without its block: plan the swap in one go.", [])
            );
    }

    private static string Slots(int n) => n == 1 ? "1 slot" : $"{n} slots";
}
