using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Words.Mount;

namespace FaithfulBracket.Core.Mount;

/// <param name="Without">
/// Without the back plate; null where the model says nothing, and <paramref name="Text"/> says why.
/// </param>
public sealed record MountedBowResult(BowResult? Without, BowResult? With, Message Text, Validity Validity)
{
    /// <summary>Strain at the packages' rims without the back plate, in words; null where no bow is told.</summary>
    public string? WithoutStrain { get; init; }

    /// <summary>The same with it.</summary>
    public string? WithStrain { get; init; }

    /// <summary>How the strain is judged as it will be mounted.</summary>
    public StrainLevel Level { get; init; } = StrainLevel.Unknown;

    /// <summary>What joints take while screws are turned, millionths.</summary>
    public double LimitMicro { get; init; }

    /// <summary>
    /// Strain at the rims with solder that joins less or more than usual, millionths: least and most.
    /// </summary>
    public IReadOnlyList<double> RangeMicro { get; init; } = [];

    /// <summary>As it will be mounted, the joints are strained past what they take.</summary>
    public bool PastLimit => Level == StrainLevel.Risk;
}

/// <summary>
/// How the mounted board bows: pressed over its packages, pulled by sprung screws, held where screws clamp it on
/// standoffs; with and without the back plate. Packages stiffen it; their joints are judged just outside their rims.
/// </summary>
public static class MountedBow
{
    /// <summary>
    /// Bending of thin plates holds for deflections of the thickness's order; free edges forgive twice that.
    /// </summary>
    private const double MaxThicknesses = 2;
    private const double WasherMm = 5;
    private const int Elements = 1200;

    /// <summary>Ceramic parts larger than this, and so near to a package, crack with its joints, mm.</summary>
    private const double BrittleMm = 2,
        BesideMm = 5;

    public static MountedBowResult Compute(
        LaidBlock laid,
        SeatingResult seated,
        BoardStiffness? stiffness = null,
        ShopSettings? settings = null,
        CancellationToken cancel = default
    )
    {
        if (UnknownSprings.Describe(laid.Block.Plates.SelectMany(p => p.Holes)) is { } unknown)
            return new(null, null, MountedBowWords.HowBoardBowsIsUnknown(unknown), Validity.Outside);
        stiffness ??= new();
        var board = laid.Board;
        var backPlate = BackPlateLayer.Compute(board, stiffness, laid.Block, laid.Placement);
        var problem = Problem(laid, seated, stiffness, stiffness.Joined);
        var held = BowHold.Check(problem);
        var bare = Describe(BoardBow.Solve(problem, cancel), problem);
        var backed = backPlate is { } plate ? Describe(BoardBow.Solve(With(problem, plate), cancel), problem) : null;
        var worst = backed ?? bare;
        if (Math.Abs(worst.PeakMm) > MaxThicknesses * board.ThicknessMm)
            return new(
                null,
                null,
                MountedBowWords.BoardWouldBowMoreThanTimes(MaxThicknesses) + MountedBowWords.UseBackPlateOrSupportBoard,
                Validity.Outside
            );
        var limit = JointStrain.LimitMicro(board.ThicknessMm);
        if (worst.RimMicro is not { } strain)
            return new(bare, backed, MountedBowWords.BoardBowsItCarriesNoPackage(Math.Abs(worst.PeakMm)), held)
            {
                LimitMicro = limit,
            };
        double Rim(double joined)
        {
            var other = Problem(laid, seated, stiffness, joined);
            return BoardBow.Solve(backPlate is { } p ? With(other, p) : other, cancel).RimMicro ?? strain;
        }
        double[] range = [strain, Rim(Substrate.MinJoined), Rim(Substrate.MaxJoined)];
        var level = JointStrain.Level(strain, limit, settings ?? new());
        return new(bare, backed, Words(worst, strain, range, limit, level, held), held)
        {
            WithoutStrain = JointStrain.InWords(bare.RimMicro!.Value, limit),
            WithStrain = backed?.RimMicro is { } b ? JointStrain.InWords(b, limit) : null,
            Level = level,
            LimitMicro = limit,
            RangeMicro = [range.Min(), range.Max()],
        };
    }

    /// <summary>What standoffs hold beside the loads alone tilts as a whole: the tilt is no bow.</summary>
    private static BowResult Describe(BowResult bow, BowProblem problem)
    {
        if (problem.Loads.Count == 0 || problem.Supports.Any(s => s.Kind != SupportKind.Clamped))
            return bow;
        var middle = new Point2(problem.Loads.Average(l => l.X), problem.Loads.Average(l => l.Y));
        return
            ConvexHull.Create([.. problem.Supports.Select(s => new Point2(s.X, s.Y))]) is { } hull
            && hull.Contains(middle)
            ? bow
            : bow.Levelled();
    }

    private static Message Words(
        BowResult worst,
        double strain,
        double[] range,
        double limit,
        StrainLevel level,
        Validity held
    )
    {
        var told = range.Max() <= JointStrain.MaxTimes * limit ? Span(range) : JointStrain.InWords(strain, limit);
        var verdict = level switch
        {
            StrainLevel.Risk => MountedBowWords.SolderJointsCanCrack,
            StrainLevel.Watch => MountedBowWords.ThatIsSafeWhileYouTurn,
            _ => MountedBowWords.JointsTakeThat,
        };
        var weak = held == Validity.Weak ? MountedBowWords.ScrewsLieNearlyInLine : Message.Empty;
        return MountedBowWords.BoardBowsStrainBesidePackages(Math.Abs(worst.PeakMm), told, limit) + verdict + weak;
    }

    private static string Span(double[] micro)
    {
        string least = FormattableString.Invariant($"{micro.Min():0}"),
            most = FormattableString.Invariant($"{micro.Max():0}");
        return least == most ? $"{least} µε" : $"{least} to {most} µε";
    }

    private static BowProblem Problem(LaidBlock laid, SeatingResult seated, BoardStiffness stiffness, double joined)
    {
        var (board, block, placement) = laid;
        List<BowLoad> loads =
        [
            .. seated
                .Dies.Select(d => (d.Part, d.LoadN))
                .Concat(seated.Pads.Select(p => (p.Part, p.LoadN)))
                .Where(l => l.LoadN > 0)
                .Select(l => Pressed(board.FindPart(l.Part)!, l.LoadN, board)),
        ];
        var screws = block
            .Plates.SelectMany(p => p.Holes)
            .Select(h =>
                (
                    Hole: h,
                    At: placement.Apply(h.At),
                    LoadN: seated.Screws.FirstOrDefault(s => s.Hole == h.Id)?.LoadN ?? 0
                )
            )
            .Where(s => board.Outline.Contains(s.At))
            .ToList();
        List<BowSupport> supports =
        [
            .. screws
                .Where(s => s.Hole.Spring is null)
                .Select(s => new BowSupport(s.At.X, s.At.Y, SupportKind.Clamped, WasherMm)),
        ];
        if (supports.Count > 0)
            // a screw that pulls through a spring holds nothing: it pulls the board towards the block
            loads.AddRange(
                screws
                    .Where(s => s.Hole.Spring is not null && s.LoadN > 0)
                    .Select(s => new BowLoad(s.At.X, s.At.Y, WasherMm, WasherMm, s.LoadN))
            );
        else
            supports = Sprung(board, [.. screws.Where(s => s.LoadN > MinPullN).Select(s => s.At)]);
        var layers = BoardLayers.Compute(board, joined);
        return new(board.Outline, board.ThicknessMm, stiffness.EMPa, stiffness.Nu)
        {
            Supports = supports,
            Loads = loads,
            Elements = Elements,
            Layers = layers,
            Brittle =
            [
                .. board
                    .Parts.Where(p => p.Kind == PartKind.Capacitor && Math.Max(p.WidthMm, p.DepthMm) > BrittleMm)
                    .Where(p => layers.Any(l => l.Soldered && l.Outline.Bounds.Grown(BesideMm).Meets(p.Top().Bounds)))
                    .Select(p => p.Top()),
            ],
        };
    }

    /// <summary>Less pull than this holds nothing, N.</summary>
    private const double MinPullN = 0.1;

    /// <summary>
    /// A part's force acts evenly over what it is built on; one without presses with its own outline.
    /// </summary>
    private static BowLoad Pressed(Part part, double loadN, Board board)
    {
        var b = BoardLayers.Under(part, board).Bounds;
        return new(b.Centre.X, b.Centre.Y, b.Width, b.Height, part.Face == Face.Back ? loadN : -loadN);
    }

    /// <summary>
    /// The board held by sprung screws alone. Two or more in a line hold it against nothing but themselves: a corner
    /// far off the line takes what is left, which is next to nothing as the forces balance.
    /// </summary>
    private static List<BowSupport> Sprung(Board board, List<Point2> at)
    {
        List<BowSupport> supports = [.. at.Select(p => new BowSupport(p.X, p.Y, SupportKind.Pinned, WasherMm))];
        BowProblem Held() => new(board.Outline, board.ThicknessMm, 1, 0) { Supports = supports };
        if (at.Count == 0 || BowHold.Check(Held()) == Validity.Outside)
        {
            var middle =
                at.Count == 0 ? board.Outline.Centroid : new Point2(at.Average(p => p.X), at.Average(p => p.Y));
            var line = at.Count > 1 ? at[1] - at[0] : new Point2(1, 0);
            double Off(Point2 p) => Math.Abs(line.Cross(p - middle));
            var corner = board.Outline.Points.MaxBy(Off);
            var inside = corner + (board.Outline.Centroid - corner) * 0.02;
            supports.Add(new(inside.X, inside.Y, SupportKind.Clamped, 0));
        }
        return supports;
    }

    private static BowProblem With(BowProblem p, BowLayer plate) => p with { Layers = [.. p.Layers, plate] };
}
