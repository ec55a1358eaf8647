using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Teardown;

namespace FaithfulBracket.Core.Teardown;

/// <summary>One thing done while a card is stripped that nobody has described yet.</summary>
/// <param name="Holds">Id of the piece it held to the board; for a lift, the piece itself.</param>
public sealed record StripNote(TeardownAction Action, string Holds, Face Face)
{
    /// <summary>Of a lead or a piece.</summary>
    public string? Name { get; init; }
    public string? Driver { get; init; }
    public string? Thread { get; init; }
    public double? LengthMm { get; init; }

    /// <summary>Where each screw sat, mm.</summary>
    public IReadOnlyList<Point2> Places { get; init; } = [];
    public bool SpringLoaded { get; init; }
    public string? Latch { get; init; }
    public double? SlackMm { get; init; }

    /// <summary>Where the lead leaves the board, mm.</summary>
    public Point2? At { get; init; }

    /// <summary>What glued a lifted piece.</summary>
    public BondKind? Bond { get; init; }
}

/// <summary>Builds the assembly while it is taken apart, so that the record of this teardown is the plan of the next.</summary>
public static class StripRecord
{
    /// <summary>A screw nearer than this to a hole's centre sits in it, mm.</summary>
    private const double InHoleMm = 1.2;

    /// <summary>The assembly that a recording goes on from: the card's, else the first board's, else an empty one.</summary>
    public static Assembly Begun(WorkOrder order) => order.Assembly ?? order.First.Board.Assembly ?? new();

    /// <summary>The order with what was recorded.</summary>
    public static WorkOrder With(WorkOrder order, Assembly recorded) =>
        order.Assembly is not null
            ? order with
            {
                Assembly = recorded,
            }
            : order with
            {
                Pieces =
                [
                    order.First with
                    {
                        Board = order.First.Board with { Assembly = recorded },
                    },
                    .. order.Pieces.Skip(1),
                ],
            };

    /// <param name="signed">Steps that stand signed: what is off already.</param>
    /// <inheritdoc cref="Note(Board, Assembly, IReadOnlyList{string}, StripNote)"/>
    public static (Assembly Assembly, string Target) Note(WorkOrder order, IReadOnlySet<StepId> signed, StripNote note)
    {
        var begun = Begun(order);
        List<string> lifted =
        [
            .. signed
                .Where(s => s.Station == Station.Teardown && s.Scope is null)
                .Select(s => s.Target)
                .Where(t => begun.Pieces.Any(p => p.Id == t)),
        ];
        return Note(order.First.Board, begun, lifted, note);
    }

    /// <param name="lifted">Pieces that are off already, in order: whatever is found afterwards lay under the last of them.</param>
    /// <returns>The assembly with the note in it, and the id of what was noted.</returns>
    /// <exception cref="InputException">The note lacks what its action needs.</exception>
    public static (Assembly Assembly, string Target) Note(
        Board board,
        Assembly assembly,
        IReadOnlyList<string> lifted,
        StripNote note
    )
    {
        var hidden = lifted.Count > 0 ? lifted[^1] : null;
        if (note.Holds == Assembly.BoardId || string.IsNullOrWhiteSpace(note.Holds))
            throw new InputException("holds", StripRecordWords.NamePieceThatItHeldSuch);
        if (lifted.Contains(note.Holds))
            throw new InputException("holds", StripRecordWords.IsOffAlready(note.Holds));
        var pieces = assembly.Pieces.Any(p => p.Id == note.Holds)
            ? assembly.Pieces
            :
            [
                .. assembly.Pieces,
                new Piece(
                    note.Holds,
                    note.Name is { Length: > 0 } n && note.Action == TeardownAction.Lift ? n : note.Holds,
                    note.Face
                ),
            ];
        assembly = assembly with { Pieces = pieces };
        switch (note.Action)
        {
            case TeardownAction.Unscrew:
                if (string.IsNullOrWhiteSpace(note.Driver))
                    throw new InputException("driver", StripRecordWords.WhichDriverTurnedThem);
                if (note.Places.Count == 0)
                    throw new InputException("places", StripRecordWords.ClickEachScrewOnMat);
                var id = Next("F", assembly);
                var holes = note
                    .Places.Select(p => board.Holes.MinBy(h => (h.At - p).Length))
                    .OfType<BoardHole>()
                    .Where(h => note.Places.Any(p => (p - h.At).Length <= InHoleMm))
                    .Select(h => h.Id)
                    .Distinct()
                    .ToList();
                // four screws in retention holes are the ring round the die
                var ring =
                    holes.Count == note.Places.Count
                    && holes.All(h => board.Holes.First(x => x.Id == h).Role == HoleRole.Retention)
                        ? "retention"
                        : null;
                return (
                    assembly with
                    {
                        Fasteners =
                        [
                            .. assembly.Fasteners,
                            new FastenerGroup
                            {
                                Id = id,
                                Driver = note.Driver.Trim(),
                                Thread = note.Thread,
                                LengthMm = note.LengthMm,
                                Count = note.Places.Count,
                                Places = note.Places,
                                Holes = holes,
                                Face = note.Face,
                                Joins = [note.Holds, Assembly.BoardId],
                                HiddenBy = hidden,
                                Ring = ring,
                                SpringLoaded = note.SpringLoaded,
                            },
                        ],
                    },
                    id
                );
            case TeardownAction.Unplug:
                var lead = Next("W", assembly);
                return (
                    assembly with
                    {
                        Leads =
                        [
                            .. assembly.Leads,
                            new Lead(
                                lead,
                                note.Name ?? lead,
                                [note.Holds, Assembly.BoardId],
                                note.Latch ?? "straight",
                                note.SlackMm,
                                note.Face,
                                hidden
                            )
                            {
                                At = note.At,
                            },
                        ],
                    },
                    lead
                );
            default:
                if (note.Bond is { } kind)
                    assembly = assembly with
                    {
                        Bonds =
                        [
                            .. assembly.Bonds,
                            new Bond(Next("B", assembly), [note.Holds, Assembly.BoardId], kind, null, [], false),
                        ],
                    };
                if (hidden is not null && !assembly.After.Any(a => a.Second == note.Holds))
                    assembly = assembly with { After = [.. assembly.After, new(hidden, note.Holds)] };
                return (
                    assembly with
                    {
                        Pieces =
                        [
                            .. assembly.Pieces.Select(p =>
                                p.Id == note.Holds && note.Name is { Length: > 0 } name
                                    ? p with
                                    {
                                        Name = name,
                                        Face = note.Face,
                                    }
                                : p.Id == note.Holds ? p with { Face = note.Face }
                                : p
                            ),
                        ],
                    },
                    note.Holds
                );
        }
    }

    private static string Next(string letter, Assembly a)
    {
        var taken = a
            .Fasteners.Select(f => f.Id)
            .Concat(a.Leads.Select(l => l.Id))
            .Concat(a.Bonds.Select(b => b.Id))
            .Concat(a.Pieces.Select(p => p.Id))
            .ToHashSet();
        for (var n = 1; ; n++)
            if (!taken.Contains($"{letter}{n}"))
                return $"{letter}{n}";
    }
}
