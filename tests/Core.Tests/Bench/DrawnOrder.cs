using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Sockets;

namespace FaithfulBracket.Core.Tests;

/// <summary>
/// An order by chance: boards of the demo and a small card, each with a stock assembly that nobody built, blocks with
/// and without what blocks may have, and any choice where installers disagree.
/// </summary>
internal sealed class DrawnOrder
{
    private static readonly Board[] Boards = [.. Demo.All("boards").Select(Demo.Board)];
    private static readonly Block[] Blocks = [.. Demo.All("blocks").Select(Demo.Block)];
    private static readonly Socket[] Sockets = [.. Demo.All("sockets").Select(Demo.Socket)];
    private static readonly Card Card = Demo.Card("petrel-twin");

    private readonly Random _random;

    private DrawnOrder(int seed) => _random = new(seed);

    public static (WorkOrder Order, Dictionary<string, string> Ways) Of(int seed)
    {
        var drawn = new DrawnOrder(seed);
        var order = drawn.Order();
        return (order, drawn.Ways(order));
    }

    private bool Heads(double chance = 0.5) => _random.NextDouble() < chance;

    private T One<T>(IReadOnlyList<T> of) => of[_random.Next(of.Count)];

    private WorkOrder Order() =>
        _random.Next(12) switch
        {
            <= 3 => WorkOrder.Plain(Plain(), Heads(0.95) ? BlockOn() : null),
            <= 5 => Demos(),
            6 => Twin(),
            7 => Seated(),
            8 => Pair(),
            9 => Stacked(),
            10 => Bridged(),
            _ => Rows(),
        };

    /// <summary>The small card, with parts behind it and hot ones that no land meets.</summary>
    private Board Plain()
    {
        List<Part> more = [];
        if (Heads())
            more.Add(Sample.Part("M3", PartKind.Memory, 0, 33, 14, 12, 1.2, Cooling.Must) with { Face = Face.Back });
        if (Heads(0.3))
            more.Add(
                Sample.Part("Q1", PartKind.PowerStage, -50, 0, 8, 8, 3, Heads() ? Cooling.Must : Cooling.Should) with
                {
                    DissipationW = 2,
                    LimitC = 110,
                }
            );
        var board = Sample.Board(0, [.. more]);
        return board with { Assembly = Stock(board, null) };
    }

    private Block BlockOn()
    {
        var block = Heads(0.4) ? Sample.Backed(Heads() ? 1.6 : null, 0.05, [.. Behind()]) : Sample.Block();
        var plate = block.Plates[0];
        // some hang by unsprung screws on standoffs, some in two rings
        if (Heads(0.3))
            plate = plate with
            {
                Holes = [.. plate.Holes.Select((h, i) => h with { Ring = 1 + i % 2, TargetNm = 0.4 })],
            };
        return block with
        {
            Plates = [plate],
            Gasket = block.BackPlate is not null && Heads(0.3),
            Headers = Heads(0.4) ? ["lighting"] : [],
            Ports = Heads(0.6) ? [.. Ports(_random.Next(2, 5))] : [],
            Kit = block.Kit! with
            {
                Sinks = Heads() ? [new(9, 9, 6, 20, 4)] : [],
                Screws = Heads(0.8) ? block.Kit.Screws : [],
                Plugs = _random.Next(4),
            },
        };
    }

    private IEnumerable<Land> Behind() =>
        Heads() ? [Sample.PadLand("L-back", 0) with { Outline = Sample.Rect(0, 33, 15, 13), Part = "M3" }] : [];

    private static IEnumerable<Port> Ports(int n) =>
        Enumerable
            .Range(0, n)
            .Select(i => new Port(
                $"{(char)('A' + i)}",
                "G1/4",
                -20 + 15 * i,
                40,
                null,
                i == 0 ? "in"
                    : i == 1 ? "out"
                    : null
            ));

    /// <summary>A demo card under a demo block that was made for it, on a stock cooler nobody built.</summary>
    private WorkOrder Demos()
    {
        var block = One([.. Blocks.Where(b => b.Sockets.Count == 0 && b.Carriers.Count == 0)]);
        var board = One([
            .. Boards.Where(b =>
                b.Kind == BoardKind.GraphicsCard && block.DeclaredFor.Any(d => d.BoardCode == b.BoardCode)
            ),
            .. Heads(0.2) ? Boards.Where(b => b.Kind == BoardKind.GraphicsCard) : [],
            .. Boards.Where(b => b.Id == "tern-460-r2"),
        ]);
        return WorkOrder.Plain(Heads(0.8) ? board with { Assembly = Stock(board, null) } : board, block);
    }

    /// <summary>Two boards that face each other, one block or two.</summary>
    private WorkOrder Twin()
    {
        var fits = Blocks
            .Where(b =>
                b.DeclaredFor.Any(d =>
                    Card.Boards.Any(c => c.Board.BoardCode == d.BoardCode) || d.BoardCode == Card.BoardCode
                )
            )
            .ToList();
        var card = Card with
        {
            Ribbons = Heads(0.7) ? Card.Ribbons : [],
            Assembly = Heads() ? Card.Assembly : Stock(Card.Boards[0].Board, Card.Boards[1]),
        };
        var block = One([.. fits, .. Heads(0.1) ? Blocks.Take(1) : []]);
        return WorkOrder.From(card, [new("P", block)]);
    }

    /// <summary>Two small cards in one, back to back, tied by a ribbon; a block on either or on both.</summary>
    private WorkOrder Stacked()
    {
        var (a, b) = (Plain() with { Assembly = null }, Plain() with { Assembly = null });
        CardBoard other = new("B", b, new(false, 0, 0, -12));
        var stock = Stock(a, other);
        // the ribbon's plug is one of the leads, or nobody has to open it
        if (stock is not null && Heads(0.7))
            stock = stock with
            {
                Leads =
                [
                    .. stock.Leads,
                    new("WR", "ribbon", [One(stock.Pieces).Id, Assembly.BoardId], "lift", 40, Face.Front)
                    {
                        At = new(50, 40),
                    },
                ],
            };
        var card = Card with
        {
            Boards = [new("A", a), other],
            Ribbons = [new("R1", "ribbon", new("A", 50, 40), new("B", 50, 40), 20, Heads() ? 60 : null)],
            Assembly = stock,
        };
        Pair[] both = [new("P", BlockOn() with { Id = "k1" }, "A"), new("R", BlockOn() with { Id = "k2" }, "B")];
        return WorkOrder.From(card, Heads() ? both : [One(both)]);
    }

    private WorkOrder Seated()
    {
        var processor = One([.. Boards.Where(b => b.Kind == BoardKind.Processor)]);
        var socket = Sockets.First(s => s.Id == processor.Socket);
        var main = Boards.FirstOrDefault(b => b.Kind == BoardKind.Mainboard && b.Socket == socket.Id);
        var blocks = Blocks.Where(b => b.Sockets.Any(s => s.Socket == socket.Id)).ToList();
        var seat = new SeatedProcessor(socket, processor, main, Heads(0.4));
        var piece = new Workpiece("A", main ?? processor) { Seated = seat };
        return CarrierOrder.Compose(
            SeatedOrder.Compose(
                new() { Pieces = [piece], Pairs = Heads(0.95) && blocks.Count > 0 ? [new("P", One(blocks))] : [] }
            )
        );
    }

    /// <summary>Two cards with a block each.</summary>
    private WorkOrder Pair() =>
        new()
        {
            Pieces = [new("A", Plain()), new("B", Plain())],
            Pairs = [new("P", BlockOn() with { Id = "k1" }, "A"), new("R", BlockOn() with { Id = "k2" }, "B")],
        };

    /// <summary>Two chips under blocks that a fitting joins, and the rows of power stages beside them or not.</summary>
    private WorkOrder Bridged()
    {
        var span = Blocks.First(b => b.Joins.Count > 0);
        var to = Blocks.First(b => b.Id == span.Joins[0].To.Block);
        var board = Boards.First(b =>
            b.Parts.Any(p => p.Id == span.Plates[0].Lands[0].Part)
            && b.Kind == BoardKind.Mainboard
            && span.DeclaredFor.Any(d => d.BoardCode == b.BoardCode)
        );
        span = span with
        {
            Joins = [span.Joins[0] with { Kind = One<JoinKind?>([null, .. Enum.GetValues<JoinKind>()]) }],
        };
        List<Pair> pairs = [new("P", span), new("Q", to)];
        if (Heads())
            pairs.Reverse();
        if (Heads() && board.Assembly is { } stock)
            board = board with
            {
                Assembly = stock with
                {
                    Pieces = [.. stock.Pieces.Select(p => p.Returns ? p with { Carries = ["R0", to.Id] } : p)],
                },
            };
        if (Heads())
            pairs.AddRange(
                Blocks
                    .Where(b =>
                        b.Kind == BlockKind.PowerStage && b.DeclaredFor.Any(d => d.BoardCode == board.BoardCode)
                    )
                    .Select((b, i) => new Pair($"R{i}", b))
            );
        return new() { Pieces = [new("A", board)], Pairs = pairs };
    }

    private WorkOrder Rows()
    {
        var memory = Boards.First(b => b.Kind == BoardKind.MemoryModule);
        var block = One([.. Blocks.Where(b => b.Carriers.Count > 0)]);
        List<Workpiece> pieces =
        [
            .. Enumerable.Range(0, _random.Next(1, 5)).Select(i => new Workpiece($"{(char)('A' + i)}", memory)),
        ];
        return CarrierOrder.Compose(
            new() { Pieces = pieces, Pairs = [.. pieces.Select((p, i) => new Pair($"P{i + 1}", block, p.Key))] }
        );
    }

    /// <summary>Any way of each question that the order raises.</summary>
    private Dictionary<string, string> Ways(WorkOrder order) =>
        Schools.For(order).Where(_ => Heads(0.4)).ToDictionary(s => s.Id, s => One(s.Ways).Id);

    /// <summary>Pieces in the order in which they come off; what holds one is reached once those before it are gone.</summary>
    /// <param name="other">Another board of the card, some pieces lie on.</param>
    private Assembly? Stock(Board board, CardBoard? other)
    {
        if (Heads(0.08))
            return null;
        var (pieces, groups, leads, bonds) = (
            new List<Piece>(),
            new List<FastenerGroup>(),
            new List<Lead>(),
            new List<Bond>()
        );
        var taken = new HashSet<string>();
        var n = _random.Next(1, 7);
        for (var i = 0; i < n; i++)
        {
            var back = Heads(0.25);
            var on = other is not null && Heads(0.3) ? other : null;
            var face = back ? Face.Back : Face.Front;
            var id = $"p{i}";
            string? Above() => pieces.Count > 0 && Heads(0.4) ? One(pieces).Id : null;
            var hiddenBy = Above();
            var tied = pieces.Count > 0 && Heads(0.2) ? One(pieces).Id : Assembly.BoardId;
            pieces.Add(
                new(id, One(["shroud", "fin core", "back plate", "stiffener", "fan frame"]), face)
                {
                    Returns = Heads(0.12),
                    Board = on?.Key,
                }
            );
            foreach (var k in Enumerable.Range(0, _random.Next(1, 3)))
                groups.Add(
                    new()
                    {
                        Id = $"F{i}{k}",
                        Driver = One(["T6", "PH1", "SL2", "NUT4", "HEX1.5"]),
                        Count = _random.Next(1, 7),
                        // a front cooler is often screwed on from behind
                        Face = Heads(0.3) ? Opposite(face) : face,
                        Joins = [id, Assembly.BoardId],
                        HiddenBy = hiddenBy,
                        Ring = Heads(0.2) ? "retention" : null,
                        SpringLoaded = Heads(0.2),
                        Seal = Heads(0.15),
                        Board = on?.Key,
                    }
                );
            if (Heads(0.4))
                leads.Add(
                    new(
                        $"W{i}",
                        "fan lead",
                        [id, tied],
                        One(["pull", "clip", "lift"]),
                        Heads() ? _random.Next(10, 120) : null,
                        face,
                        hiddenBy
                    )
                    {
                        At = Heads() ? new(30, 20) : null,
                        Board = on?.Key,
                    }
                );
            if (Heads(0.5))
                bonds.Add(Bonded(i, id, face, on?.Board ?? board, on?.Key, taken));
        }
        return new()
        {
            Pieces = pieces,
            Fasteners = groups,
            Leads = leads,
            Bonds = bonds,
        };
    }

    private Bond Bonded(int i, string piece, Face face, Board board, string? key, HashSet<string> taken)
    {
        var paste = Heads(0.3) && face == Face.Front;
        // a part meets one piece
        var parts = board
            .Parts.Where(p => p.Face == face && paste == (p.Kind is PartKind.Die or PartKind.Lid))
            .Select(p => p.Id)
            .Where(p => !taken.Contains(p))
            .Take(_random.Next(0, 4))
            .ToList();
        taken.UnionWith(parts);
        return new(
            $"B{i}",
            [piece, Assembly.BoardId],
            paste ? BondKind.Paste : One([BondKind.Pads, BondKind.Pads, BondKind.Clips, BondKind.Tape, BondKind.Snug]),
            paste ? null : One<double?>([1.0, 1.5, 2.0]),
            parts,
            Heads(0.3)
        )
        {
            Metal = paste && Heads(0.2),
            Board = key,
        };
    }

    private static Face Opposite(Face face) => face == Face.Front ? Face.Back : Face.Front;
}
