using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Sockets;

/// <summary>
/// A mainboard with its processor in the socket, as one board: lid or dies at their height above the mainboard, the socket's holes.
/// Every later station calculates from it as from any other board.
/// </summary>
public static class SeatedBoard
{
    /// <summary>What a board without a document reaches past the socket's holes, mm.</summary>
    private const double RimMm = 14;

    /// <summary>Holes nearer than this to a hole of the mainboard are the same, mm.</summary>
    private const double SameHoleMm = 0.75;

    /// <param name="fit">The block's kit for this socket; null without one.</param>
    /// <param name="onlyProcessor">Whether nothing but the processor is cooled: the rest keeps its own sinks.</param>
    /// <param name="cooled">Whether the processor stands under a cooler of its own that comes off too.</param>
    public static Board Create(SeatedProcessor seated, SocketFit? fit, bool onlyProcessor, bool cooled = true)
    {
        var (socket, processor, bare) = (seated.Socket, Opened(seated), seated.Bare);
        var board = seated.Mainboard ?? Alone(socket, processor);
        var seat = (bare ? fit?.SeatMm : null) ?? socket.SeatMm;
        var raised = seat + processor.ThicknessMm;
        var rest = Rest(seated).Select(p => onlyProcessor ? p with { Cool = Cooling.No } : p).ToList();
        var taken = rest.Select(p => p.Id).ToHashSet();
        List<Part> own =
        [
            .. processor.Parts.Select(p =>
                p with
                {
                    Id = NameOf(p.Id, taken),
                    Under = p.Under is { } lid ? NameOf(lid, taken) : null,
                    HeightMm = p.HeightMm + raised,
                    PackageOutline =
                        p.Kind is PartKind.Lid || (bare && HeightChain.Dies(processor) is [var first, ..] && p == first)
                            ? Outline(processor, p)
                            : p.PackageOutline,
                }
            ),
        ];
        return board with
        {
            Socket = socket.Id,
            Parts = [.. own, .. rest],
            Holes =
            [
                .. board.Holes,
                .. socket
                    .Holes.Where(s => !board.Holes.Any(h => (h.At - new Point2(s.X, s.Y)).Length < SameHoleMm))
                    .Select(s => new BoardHole(s.Id, s.X, s.Y, s.DiameterMm, HoleRole.Retention)),
            ],
            Backing = BackingOf(socket),
            SocketFrame = FrameOf(socket),
            Assembly =
                onlyProcessor ? processor.Assembly
                : cooled ? BothAssemblies.Merge(board.Assembly, processor.Assembly)
                : board.Assembly,
        };
    }

    /// <summary>The plate behind a socket, or the frame its posts go into, taken as 3 mm of steel.</summary>
    private const double PlateMm = 3,
        SteelMPa = 200_000,
        PlateRimMm = 6;

    /// <summary>How far a socket's frame reaches past the package in it.</summary>
    private const double FrameRimMm = 4;

    private static Polygon FrameOf(Socket socket)
    {
        var b = socket.PackageOutline.Bounds.Grown(FrameRimMm);
        return Polygon.Rectangle(b.Centre, b.Width, b.Height);
    }

    private static Backing? BackingOf(Socket socket)
    {
        if (socket.Holes.Count == 0)
            return null;
        double left = socket.Holes.Min(h => h.X) - PlateRimMm,
            right = socket.Holes.Max(h => h.X) + PlateRimMm,
            low = socket.Holes.Min(h => h.Y) - PlateRimMm,
            high = socket.Holes.Max(h => h.Y) + PlateRimMm;
        return new(
            Polygon.Rectangle(new((left + right) / 2, (low + high) / 2), right - left, high - low),
            PlateMm,
            SteelMPa
        );
    }

    /// <summary>A part of the processor as it is called on the board.</summary>
    public static string NameOn(SeatedProcessor seated, string part) =>
        NameOf(part, Rest(seated).Select(p => p.Id).ToHashSet());

    /// <summary>A part of the processor as it is called on the board: its own id, unless the mainboard has one of that name.</summary>
    private static string NameOf(string id, HashSet<string> taken) => taken.Contains(id) ? $"U-{id}" : id;

    /// <summary>The processor as it lies in the socket: with its lid, or bare.</summary>
    public static Board Opened(SeatedProcessor seated)
    {
        var (processor, lid) = (seated.Processor, HeightChain.Lid(seated.Processor));
        if (!seated.Bare || lid is null)
            return processor;
        var dies = HeightChain.Dies(processor);
        var shares = PowerShares.Compute(dies);
        return processor with
        {
            Parts =
            [
                .. processor
                    .Parts.Where(p => p.Id != lid.Id)
                    .Select(p =>
                        dies.ToList().FindIndex(d => d.Id == p.Id) is >= 0 and var i
                            ? p with
                            {
                                Under = null,
                                Cool = Cooling.Must,
                                DissipationW = p.DissipationW > 0 ? p.DissipationW : shares[i] * lid.DissipationW,
                                LimitC = p.LimitC ?? lid.LimitC,
                                MaxLoadN = p.MaxLoadN,
                            }
                            : p
                    ),
            ],
        };
    }

    /// <summary>
    /// Whether the processor is in its socket already: a stock cooler sits on its lid or die. A new build has none.
    /// </summary>
    /// <param name="piece">The mainboard with the processor's parts and the stock assembly of both.</param>
    public static bool IsIn(Workpiece piece) =>
        piece.Seated is { } seated
        && piece.Board.Assembly is { } assembly
        && seated
            .Processor.Parts.Where(p => p.Kind is PartKind.Lid or PartKind.Die)
            .Select(p => NameOn(seated, p.Id))
            .ToHashSet()
            is { } own
        && assembly.Bonds.Any(b => b.Parts.Any(own.Contains));

    /// <summary>Whether it ran before the work: a mainboard without a cooler on its processor is a new build.</summary>
    public static bool Ran(WorkOrder order) => order.Pieces.Any(p => p.Seated is null || IsIn(p));

    /// <summary>What stands on the mainboard beside the socket; its document's own stand-in for a processor is left out.</summary>
    public static IReadOnlyList<Part> Rest(SeatedProcessor seated) =>
        [
            .. (seated.Mainboard?.Parts ?? []).Where(p =>
                p.Face == Face.Back
                || !(p.Kind is PartKind.Lid or PartKind.Die && seated.Socket.PackageOutline.Contains(p.At))
            ),
        ];

    private static Polygon Outline(Board processor, Part part) =>
        new([.. processor.Outline.Points.Select(p => (p - part.At).Turned(-part.RotationDeg * Math.PI / 180))]);

    /// <summary>The processor and its socket where no mainboard is known: as far as the holes reach.</summary>
    private static Board Alone(Socket socket, Board processor)
    {
        var reach =
            socket
                .Holes.SelectMany(h => new[] { Math.Abs(h.X), Math.Abs(h.Y) })
                .Concat(socket.PackageOutline.Points.SelectMany(p => new[] { Math.Abs(p.X), Math.Abs(p.Y) }))
                .Max() + RimMm;
        return processor with
        {
            Outline = Polygon.Rectangle(default, 2 * reach, 2 * reach, 0),
            ThicknessMm = MainboardMm,
            Parts = [],
            Holes = [],
            Assembly = null,
        };
    }

    /// <summary>A mainboard nobody described, mm.</summary>
    private const double MainboardMm = 1.6;
}
