using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Words.Match;

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
                        EnvelopeWords.BoardsSocketIs(socket, string.Join(", ", block.Sockets.Select(s => s.Socket))),
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
                        EnvelopeWords.SocketTakesJetPlate(
                            socket,
                            jet,
                            fit.Insert is { } insert ? $" with insert {insert}" : ""
                        ),
                        []
                    )
                );
        }
        if (board.Slots is { } have && block.BracketSlots is { } need && need != have)
            yield return new(
                Weight.Note,
                new("bracket", EnvelopeWords.BracketChangesFrom(Slots(have), Slots(need)), [])
            );
        if (block.HeightMm is { } height)
        {
            var slots = (int)Math.Ceiling((height - SlotRoomMm) / SlotPitchMm) + 1;
            if (block.BracketSlots is { } bracket && slots > bracket)
                yield return new(
                    Weight.Note,
                    new(
                        "neighbour",
                        EnvelopeWords.BlockStandsOverBoardAndReaches(
                            height,
                            bracket,
                            slots - bracket,
                            slots - bracket == 1 ? "has" : "have"
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
                        EnvelopeWords.PortsFacingUpRise(
                            up.Max(p => p.Y) - board.Outline.Bounds.MinY + FittingMm,
                            FittingMm
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
                    EnvelopeWords.PortsAndAreApart(
                        a.Id,
                        b.Id,
                        Math.Sqrt((a.X - b.X) * (a.X - b.X) + (a.Y - b.Y) * (a.Y - b.Y))
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
                    new("connector-under", EnvelopeWords.ConnectorLiesUnderPlate(plug.Id), [plug.Id])
                );
        foreach (var kind in block.Headers.GroupBy(h => h))
        {
            var free = board.Headers.Count(h => h.Kind == kind.Key);
            if (free < kind.Count())
                yield return new(
                    Weight.Note,
                    new(
                        "header",
                        EnvelopeWords.BlockWantsBoard(HowMany.Count(kind.Count(), $"{kind.Key} header"), free),
                        []
                    )
                );
        }
        if (!board.UsableWithoutBlock)
            yield return new(Weight.Note, new("not-without-block", EnvelopeWords.ThisBoardMayNotRunWithout, []));
    }

    private static string Slots(int n) => n == 1 ? "1 slot" : $"{n} slots";
}
