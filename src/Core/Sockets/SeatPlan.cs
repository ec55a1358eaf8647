using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Sockets;

namespace FaithfulBracket.Core.Sockets;

/// <summary>What a crowned insert makes of the film: thin in the middle, thick at the rim.</summary>
/// <param name="CrownMm">Both faces together.</param>
/// <param name="LeastUm">In the middle.</param>
/// <param name="RimUm">At the corners.</param>
/// <param name="KPerW">Of the whole film.</param>
public sealed record CrownedFilm(double CrownMm, double LeastUm, double RimUm, double KPerW);

/// <summary>A block on a processor in its socket: what each station needs to know of it.</summary>
/// <param name="Board">Key of the board.</param>
/// <param name="Pair">Key of the pair.</param>
/// <param name="TurnDeg">How the block is turned.</param>
public sealed record SeatPlan(string Board, string Pair, double TurnDeg)
{
    public required string Socket { get; init; }
    public required string Processor { get; init; }
    public bool Bare { get; init; }
    public required SocketMatchResult Match { get; init; }

    /// <summary>The block's kit for this socket; null when it has none.</summary>
    public SocketFit? Fit { get; init; }

    /// <summary>Lid on or off; null where it cannot be told.</summary>
    public DieDecision? Decision { get; init; }

    /// <summary>What the processor is worth; null where nobody says.</summary>
    public Money? Worth { get; init; }

    /// <summary>Both ways cut through; null where the decision cannot be told.</summary>
    public DieSection? Section { get; init; }

    /// <summary>Why the decision cannot be told.</summary>
    public Message? NoDecision { get; init; }

    /// <summary>Where corner mark and corner mark meet, mm from the socket's centre; null without one.</summary>
    public Point2? Mark { get; init; }

    /// <summary>Bare parts that are coated before any metal is opened, as they are called on the board.</summary>
    public IReadOnlyList<string> Coat { get; init; } = [];
    public Warming? Warm { get; init; }
    public CrownedFilm? Crown { get; init; }

    /// <summary>The one turn that brings the inlet over the hot dies; null where no turn does more than another.</summary>
    public double? InletTurnDeg { get; init; }

    /// <summary>How far the contact may lie from where it is told, out of the stated tolerances, mm; 0 where none is stated.</summary>
    public double ContactTolMm { get; init; }

    /// <summary>Load on the contact over that tolerance, N: least and most.</summary>
    public double LoadLowN { get; init; }
    public double LoadHighN { get; init; }

    /// <summary>What of the mainboard's slots and plugs the block covers, and how near the nearest lies; null without any.</summary>
    public SlotRoom? Slots { get; init; }

    /// <summary>The turn that is planned.</summary>
    public Orientation? Way => Match.Orientations.FirstOrDefault(o => o.RotationDeg == TurnDeg);

    /// <summary>The posts or studs, mm from the socket's centre.</summary>
    public IReadOnlyList<TurnedSpring> Posts => Way?.Springs ?? [];
}

/// <summary>Calculates every pair of an order that lies on a processor in its socket.</summary>
public static class SeatPlans
{
    /// <summary>Those of a plan; none where no processor is seated.</summary>
    public static IReadOnlyList<SeatPlan> Seats(this EarlierResults earlier) =>
        earlier.Find<IReadOnlyList<SeatPlan>>() ?? [];

    /// <summary>The one of a pair on a board; null where it lies on no socket.</summary>
    public static SeatPlan? SeatOf(this EarlierResults earlier, string pair, string board) =>
        earlier.Seats().FirstOrDefault(s => s.Pair == pair && s.Board == board);

    /// <param name="order">With its processors seated.</param>
    public static IReadOnlyList<SeatPlan> Compute(
        WorkOrder order,
        Drawer drawer,
        ShopSettings shop,
        string? pasteId,
        CancellationToken cancel = default
    )
    {
        var plans = new List<SeatPlan>();
        foreach (var pair in order.Pairs)
            if (SeatedOrder.SeatOf(order, pair) is { Seated: { } seated } piece)
                plans.Add(Compute(piece.Key, seated, pair, drawer, shop, pasteId, cancel));
        return plans;
    }

    private static SeatPlan Compute(
        string key,
        SeatedProcessor seated,
        Pair pair,
        Drawer drawer,
        ShopSettings shop,
        string? pasteId,
        CancellationToken cancel
    )
    {
        var (socket, block) = (seated.Socket, pair.AsSold ?? pair.Block);
        var around = SeatedOrder.Around(seated);
        var fit = SeatedOrder.FitOf(seated, block);
        var turn = SeatedOrder.Turn(seated, block);
        var match = UnderLid(
            seated,
            block,
            SocketMatch.Compute(around, socket, SeatedBoard.Opened(seated), block, cancel: cancel)
        );
        var (decision, why) = Decide(seated, block, drawer, shop, around);
        var tol = Tolerance(seated);
        var rate = HeightChain.Springs(block, socket.Id).Sum(h => h.Spring!.RateNPerMm);
        return new(key, pair.Key, turn)
        {
            ContactTolMm = tol,
            LoadLowN = match.LoadN > 0 ? Math.Max(0, match.LoadN - rate * tol) : 0,
            LoadHighN = match.LoadN > 0 ? match.LoadN + rate * tol : 0,
            Socket = socket.Id,
            Processor = seated.Processor.Id,
            Bare = seated.Bare,
            Match = match,
            Fit = fit,
            Decision = decision,
            NoDecision = why,
            Worth = seated.Processor.Price,
            Section = decision is null
                ? null
                : DieSection.Create(socket, seated.Processor, block, fit, decision.Answer),
            Mark = MarkOf(socket),
            Coat = seated.Bare
                ? [.. DirectDie.BareParts(seated.Processor).Select(id => SeatedBoard.NameOn(seated, id))]
                : [],
            Warm =
                seated.Bare && HeightChain.Lid(seated.Processor) is not null
                    ? Warming.Compute(seated.Processor, shop.WarmLidC, shop.RoomC)
                    : null,
            InletTurnDeg = seated.Bare ? InletTurn.Find(seated.Processor, block) : null,
            Slots = SlotRoom.Compute(around, block, turn),
            Crown = CrownOf(fit, seated, match, drawer.PasteOr(pasteId)?.Material),
        };
    }

    /// <summary>Of the part that is touched; a tolerance of height is three standard deviations.</summary>
    private static double Tolerance(SeatedProcessor seated)
    {
        var opened = SeatedBoard.Opened(seated);
        return HeightChain.Lid(opened)?.HeightTolMm
            ?? HeightChain.Dies(opened).OrderByDescending(d => d.HeightMm).Select(d => d.HeightTolMm).FirstOrDefault();
    }

    /// <summary>A block made for bare dies does not go on a lid.</summary>
    private static SocketMatchResult UnderLid(SeatedProcessor seated, Block block, SocketMatchResult match) =>
        seated.Bare || block.Kind != BlockKind.DirectDie || HeightChain.Lid(seated.Processor) is null
            ? match
            : match with
            {
                Verdict = Match.Verdict.Clashes,
                Reasons =
                [
                    new("lid-on", SeatPlanWords.ThisBlockIsMadeForBare, []) { Weight = Match.Weight.Clash },
                    .. match.Reasons,
                ],
            };

    private static (DieDecision?, Message?) Decide(
        SeatedProcessor seated,
        Block block,
        Drawer drawer,
        ShopSettings shop,
        Board? around
    )
    {
        try
        {
            var d = DieDecision.Compute(
                seated.Socket,
                seated.Processor,
                block,
                drawer,
                shop.FlowLPerMin,
                board: around
            );
            return (d, null);
        }
        catch (InputException e)
        {
            return (null, Message.Quote(string.Join(" ", e.Faults.Select(f => f.Message))));
        }
    }

    /// <summary>The corner of the package that its mark names.</summary>
    private static Point2? MarkOf(Socket socket) =>
        socket.CornerMark is { } side
            ? new(
                side.X < 0 ? socket.PackageOutline.Bounds.MinX : socket.PackageOutline.Bounds.MaxX,
                side.Y < 0 ? socket.PackageOutline.Bounds.MinY : socket.PackageOutline.Bounds.MaxY
            )
            : null;

    private static CrownedFilm? CrownOf(
        SocketFit? fit,
        SeatedProcessor seated,
        SocketMatchResult match,
        PasteMaterial? paste
    )
    {
        if (
            seated.Bare
            || paste is null
            || fit?.InsertBowMm is not ({ } crown and > 0)
            || HeightChain.Lid(seated.Processor) is not { } lid
            || match.LoadN <= 0
        )
            return null;
        var area = lid.Top().Area;
        var least = paste.BondLineUm(match.LoadN / area);
        return new(
            crown,
            least,
            least + crown * 1000,
            Spreading.CrownedFilm(least / 1000, crown, area, paste.ConductivityWPerMK)
        );
    }
}
