using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Words.Heat;

namespace FaithfulBracket.Core.Heat;

/// <summary>A part under a block: what it gives, and where its heat goes in, in the block's frame.</summary>
/// <param name="Into">Its land for a die or lid under paste, its covered top otherwise.</param>
/// <param name="CoveredMm2">Of its top under the land.</param>
public sealed record HeatedPart(Pairing Pairing, double Watts, Polygon Into, Polygon Top, double CoveredMm2)
{
    public Part Part => Pairing.Part;
}

/// <summary>
/// A block's cold plate, cooled so that its main die alone reaches what the block's curve says: h under the fins, a
/// share of it under the rest
/// of the flow area, none elsewhere.
/// </summary>
public sealed class BlockHeat
{
    /// <summary>Cooling under the flow area beside the fins, as a share of that under them.</summary>
    public const double DefaultBesideFins = 0.15;

    /// <summary>Copper, W/(m·K), and a base that no document states, mm.</summary>
    private const double CopperWPerMK = 390;

    internal const double UnstatedBaseMm = 3;

    private const double MinH = 10,
        MaxH = 1e8,
        CloseShare = 1e-6;

    private const int UsualCells = 12_000,
        MaxRounds = 40;

    private readonly Board _board;

    private BlockHeat(
        LaidBlock laid,
        Plate blockPlate,
        HeatPlate plate,
        IReadOnlyList<HeatedPart> parts,
        double hWPerM2K,
        IReadOnlyList<double> rise,
        IReadOnlyList<SideSheet> others
    )
    {
        (_board, Laid, BlockPlate, Plate) = (laid.Board, laid, blockPlate, plate);
        (Parts, HWPerM2K, Rise, Others) = (parts, hWPerM2K, rise, others);
    }

    /// <summary>
    /// A further plate of the block on this board, with no curve of its own: a sheet cooled by a share of the main
    /// plate's h.
    /// </summary>
    public sealed record SideSheet(HeatPlate Plate, IReadOnlyList<HeatedPart> Parts, IReadOnlyList<double> Rise);

    public IReadOnlyList<SideSheet> Others { get; }

    public LaidBlock Laid { get; }

    /// <summary>The plate of the block that lies on the main die.</summary>
    public Plate BlockPlate { get; }
    public HeatPlate Plate { get; }
    public IReadOnlyList<HeatedPart> Parts { get; }

    /// <summary>Under the fins.</summary>
    public double HWPerM2K { get; }

    /// <summary>Over the mean coolant by cell, K, with every part's watts.</summary>
    public IReadOnlyList<double> Rise { get; }

    /// <summary>Heat that the block takes, W.</summary>
    public double Watts => Parts.Sum(p => p.Watts) + Others.Sum(o => o.Parts.Sum(p => p.Watts));

    /// <param name="powerW">Scales what all parts of the board give to this sum; null takes it as it stands.</param>
    /// <param name="flowLMin">Flow, L/min.</param>
    /// <exception cref="InputException">No curve, no die under paste, or no cooling that reaches the curve.</exception>
    public static BlockHeat Compute(
        LaidBlock laid,
        double? powerW,
        double flowLMin,
        CancellationToken cancel = default
    ) => Compute(laid, powerW, flowLMin, UsualCells, cancel);

    /// <param name="cells">More than the usual 12,000 give a finer plate; at most 60,000.</param>
    public static BlockHeat Compute(
        LaidBlock laid,
        double? powerW,
        double flowLMin,
        int cells,
        CancellationToken cancel
    )
    {
        var (board, block, placement) = laid;
        var curve =
            block.Flow ?? throw new InputException("block/flow", BlockHeatWords.BlockStatesNoResistanceOverFlow);
        var scale = Scale(board, powerW);
        var parts = block
            .Plates.Where(p => p.Face == Face.Front)
            .SelectMany(each =>
                LandPairing
                    .Pair(ExposedParts.Measured(board, block, each.Face), each.Lands, placement)
                    .Where(p => p.Share >= LandPairing.MinShare)
                    .Select(p => (Plate: each, Part: Heated(p, WattsOf(board, p.Part, block) * scale, placement)))
            )
            .ToList();
        var dies = parts.Where(p => p.Part.Part.Kind is PartKind.Die or PartKind.Lid).ToList();
        var (plate, main) = dies.Count > 0 ? dies.MaxBy(p => p.Part.Watts) : WithoutDie(block, parts);
        var perWatt = curve.AKPerW + curve.BKPerW * Math.Pow(flowLMin, -curve.N);
        var cell = Math.Max(0.25, Math.Sqrt(plate.Outline.Area / cells));
        var coarse = new HeatGrid(plate.Outline, 2 * cell);
        var fine = new HeatGrid(plate.Outline, cell);
        var guess = Calibrate(block, coarse, main, perWatt, null, cancel).H;
        var (h, heat) = Calibrate(block, fine, main, perWatt, guess, cancel);
        var watts = new double[fine.Count];
        List<HeatedPart> own = [.. parts.Where(p => ReferenceEquals(p.Plate, plate)).Select(p => p.Part)];
        foreach (var part in own.Where(p => p.Watts > 0))
            if (heat.Spread(part.Into, part.Watts) is { } spread)
                for (var n = 0; n < spread.Length; n++)
                    watts[n] += spread[n];
        return new(
            laid,
            plate,
            heat,
            own,
            h,
            heat.Rise(watts),
            [
                .. parts
                    .Where(p => !ReferenceEquals(p.Plate, plate))
                    .GroupBy(
                        p => p.Plate,
                        (of, these) => Sheet(block, of, [.. these.Select(t => t.Part)], h, cell, cancel)
                    ),
            ]
        );
    }

    /// <summary>A block that is made for other parts is told by its curve over the land that takes most heat.</summary>
    private static (Plate Plate, HeatedPart Main) WithoutDie(Block block, List<(Plate Plate, HeatedPart Part)> parts)
    {
        if (block.Kind is BlockKind.PowerStage or BlockKind.Chip or BlockKind.Memory && parts.Count > 0)
        {
            var land = parts.GroupBy(p => p.Part.Pairing.Land.Id).MaxBy(g => g.Sum(p => p.Part.Watts))!;
            var (plate, part) = land.First();
            return (plate, part with { Into = part.Pairing.Land.Outline });
        }
        throw new InputException("block/plates", BlockHeatWords.NoLandOfBlockLies);
    }

    private static SideSheet Sheet(
        Block block,
        Plate plate,
        List<HeatedPart> parts,
        double h,
        double cell,
        CancellationToken cancel
    )
    {
        var grid = new HeatGrid(plate.Outline, cell);
        var field = new double[grid.Count];
        Array.Fill(field, DefaultBesideFins * h);
        var sheet = new HeatPlate(
            grid,
            block.ColdPlate?.BaseMm ?? UnstatedBaseMm,
            block.ColdPlate?.KWPerMK ?? CopperWPerMK,
            field,
            cancel
        );
        var watts = new double[grid.Count];
        foreach (var part in parts.Where(p => p.Watts > 0))
            if (sheet.Spread(part.Into, part.Watts) is { } spread)
                for (var n = 0; n < spread.Length; n++)
                    watts[n] += spread[n];
        return new(sheet, parts, sheet.Rise(watts));
    }

    /// <summary>What a part gives; a lid passes on what the dies under it give.</summary>
    private static double WattsOf(Board board, Part part, Block block) =>
        part.DissipationW
        + (
            part.Kind == PartKind.Lid && block.Kind != BlockKind.DirectDie
                ? board.Parts.Where(p => p.Under == part.Id).Sum(p => p.DissipationW)
                : 0
        );

    /// <summary>The same plate at the same flow with other watts: every rise goes with them.</summary>
    /// <param name="powerW">What all parts of the board give together; null takes it as it stands.</param>
    public BlockHeat At(double? powerW)
    {
        var now = Parts.FirstOrDefault(p => p.Watts > 0);
        if (now is null)
            return this;
        var factor = Scale(_board, powerW) * WattsOf(_board, now.Part, Laid.Block) / now.Watts;
        return factor == 1
            ? this
            : new(
                Laid,
                BlockPlate,
                Plate,
                [.. Parts.Select(p => p with { Watts = p.Watts * factor })],
                HWPerM2K,
                [.. Rise.Select(r => r * factor)],
                [
                    .. Others.Select(o =>
                        o with
                        {
                            Parts = [.. o.Parts.Select(p => p with { Watts = p.Watts * factor })],
                            Rise = [.. o.Rise.Select(r => r * factor)],
                        }
                    ),
                ]
            );
    }

    /// <summary>The same plate under a block that differs in nothing the heat rests on.</summary>
    public BlockHeat On(LaidBlock laid) => new(laid, BlockPlate, Plate, Parts, HWPerM2K, Rise, Others);

    private static double Scale(Board board, double? powerW)
    {
        var stated = board.Parts.Where(p => p.Kind != PartKind.Empty).Sum(p => p.DissipationW);
        if (powerW is not { } asked)
            return 1;
        return stated > 0
            ? asked / stated
            : throw new InputException("board/parts", BlockHeatWords.NoPartStatesHeatItGives);
    }

    private static HeatedPart Heated(Pairing pairing, double watts, Placement placement)
    {
        var back = new Func<Polygon, Polygon>(o =>
            new([.. o.Points.Select(p => (p - new Point2(placement.XMm, placement.YMm)).Turned(-placement.Radians))])
        );
        var top = back(pairing.Part.Top());
        var die = pairing.Part.Kind is PartKind.Die or PartKind.Lid && pairing.Land.Through != Through.Pad;
        return new(pairing, watts, die ? pairing.Land.Outline : top, top, pairing.Share * pairing.Part.Top().Area);
    }

    /// <summary>
    /// θ of the die's land for one watt falls with h as a power nearly: secant steps on logarithms, held in a bracket.
    /// </summary>
    private static (double H, HeatPlate Plate) Calibrate(
        Block block,
        HeatGrid grid,
        HeatedPart main,
        double perWatt,
        double? guess,
        CancellationToken cancel
    )
    {
        HeatPlate Plate(double h) =>
            new(
                grid,
                block.ColdPlate?.BaseMm ?? UnstatedBaseMm,
                block.ColdPlate?.KWPerMK ?? CopperWPerMK,
                Field(block, grid, h),
                cancel
            );
        double Miss(HeatPlate plate)
        {
            var watts =
                plate.Spread(main.Into, 1)
                ?? throw new InputException("block/plates", BlockHeatWords.DiesLandLiesBesideBlocksPlate);
            return Math.Log(plate.Mean(plate.Rise(watts), main.Into)!.Value / perWatt);
        }
        double low = Math.Log(MinH),
            high = Math.Log(MaxH),
            x = Math.Log(guess ?? 1e4);
        var last = (X: double.NaN, Miss: double.NaN);
        for (var round = 0; round < MaxRounds; round++)
        {
            cancel.ThrowIfCancellationRequested();
            var plate = Plate(Math.Exp(x));
            var miss = Miss(plate);
            if (Math.Abs(miss) < CloseShare)
                return (Math.Exp(x), plate);
            if (miss > 0)
                low = x;
            else
                high = x;
            if (high - low < 1e-6)
                break;
            // too warm: more cooling; the first step as if it were inversely proportional
            var next =
                double.IsNaN(last.X) || last.Miss == miss ? x + miss : x - miss * (x - last.X) / (miss - last.Miss);
            last = (x, miss);
            x = next > low && next < high ? next : (low + high) / 2;
        }
        throw new InputException("block/flow", BlockHeatWords.NoCoolingOfThisPlateGives(perWatt));
    }

    private static double[] Field(Block block, HeatGrid grid, double h)
    {
        var (fins, flow) = (block.ColdPlate?.FinArea, block.ColdPlate?.FlowArea);
        var field = new double[grid.Count];
        if (fins is null && flow is null)
        {
            Array.Fill(field, h);
            return field;
        }
        var under = grid.Under((fins ?? flow)!);
        var beside = fins is not null && flow is not null ? grid.Under(flow) : under;
        grid.Each(
            (n, i, j) =>
            {
                var metal = grid.Metal(i, j) * grid.CellMm2;
                field[n] = h * (under[n] + DefaultBesideFins * Math.Max(0, beside[n] - under[n])) / metal;
            }
        );
        return field;
    }

    /// <summary>
    /// Where a part's heat goes in, over the mean coolant, K; null where none of it lies on the plate.
    /// </summary>
    public double? LandRise(HeatedPart part) =>
        Others.FirstOrDefault(o => o.Parts.Contains(part)) is { } sheet
            ? sheet.Plate.Mean(sheet.Rise, part.Into)
            : Plate.Mean(Rise, part.Into);
}
