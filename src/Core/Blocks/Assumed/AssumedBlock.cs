using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Words.Blocks.Assumed;

namespace FaithfulBracket.Core.Blocks.Assumed;

/// <summary>What is read off the box.</summary>
/// <param name="Declared">Whether box or manual says that it is for this board.</param>
public sealed record BlockNames(string Id, string Maker, string Model, BlockKind Kind, bool Declared);

/// <summary>
/// A block as it would have to be for a board: its screws in the board's holes, a land over every part that needs
/// cooling. Everything is marked assumed, and no verdict says more than unproven while it is.
/// </summary>
public static class AssumedBlock
{
    /// <summary>Kinds that can be begun so: one plate over the front of a board, resting on its die.</summary>
    public static readonly IReadOnlyList<BlockKind> Kinds = [BlockKind.FullCover, BlockKind.CoreOnly];

    /// <summary>What a pad under a land is taken to leave, and how far that may be out (three standard deviations), mm.</summary>
    private const double GapMm = 1,
        GapTolMm = 0.75;

    /// <summary>Rim round lands and screws, room over what no land serves, mm.</summary>
    private const double RimMm = 5,
        LandRimMm = 0.5,
        ClearMm = 1,
        MinBaseMm = 0.5;

    private const double PortsApartMm = 30;

    /// <summary>Screws by the least hole that lets them through: ISO 273, fine.</summary>
    private static readonly (double HoleMm, double ScrewMm, string Thread)[] Screws =
    [
        (4.3, 4, "M4"),
        (3.2, 3, "M3"),
        (2.7, 2.5, "M2.5"),
        (2.2, 2, "M2"),
        (1.7, 1.6, "M1.6"),
    ];

    /// <exception cref="InputException">No die on the front, its height unknown, or no hole a screw goes through.</exception>
    public static Block For(Board board, BlockNames names)
    {
        if (!Kinds.Contains(names.Kind))
            throw new InputException("/kind", AssumedBlockWords.ExpectedFullCoverOrCoreOnly);
        var die =
            board.Parts.Where(p => p is { Kind: PartKind.Die, Face: Face.Front }).MaxBy(p => p.WidthMm * p.DepthMm)
            ?? throw new InputException("/board", AssumedBlockWords.BoardHasNoDieOnFront);
        if (die.HeightUnknown)
            throw new InputException("/board", AssumedBlockWords.NobodyHasMeasuredHowHighDie(die.Id));
        var holes = Holes(board, names.Kind);
        if (holes.Count == 0)
            throw new InputException("/board", AssumedBlockWords.BoardHasNoHoleThatBlocks);
        List<Part> hot =
        [
            .. board.Parts.Where(p => p is { Face: Face.Front, Kind: not PartKind.Empty } && p.Cool != Cooling.No),
        ];
        if (!hot.Contains(die))
            hot.Insert(0, die);
        var served = names.Kind == BlockKind.CoreOnly ? hot.FindAll(p => p.Kind == PartKind.Die) : hot;
        var lands = LandGroups
            .Group(
                served,
                board.Parts.Where(p => p is { Face: Face.Front, Kind: not PartKind.Empty } && p.Under is null)
            )
            .ConvertAll(g => Land(g, die));
        var outline = Round(
            Bounds.From([.. lands.SelectMany(l => l.Outline.Points), .. holes.Select(h => h.At)]).Grown(RimMm)
        );
        return new()
        {
            Id = names.Id,
            Maker = names.Maker,
            Model = names.Model,
            Kind = names.Kind,
            DeclaredFor = names.Declared ? [new(board.Maker, board.BoardCode, [board.Revision])] : [],
            Plates =
            [
                new()
                {
                    Id = "main",
                    Outline = outline,
                    BaseStepMm = BaseStep(board, served, outline, die),
                    Lands = lands,
                    Holes = holes,
                },
            ],
            Ports = [Port("A", outline, -PortsApartMm / 2), Port("B", outline, PortsApartMm / 2)],
        };
    }

    private static List<BlockHole> Holes(Board board, BlockKind kind)
    {
        var retention = board.Holes.Any(h => h.Role == HoleRole.Retention);
        return
        [
            .. board
                .Holes.Where(h =>
                    h.Role is HoleRole.Retention
                    || h.Role == HoleRole.Perimeter && (kind == BlockKind.FullCover || !retention)
                )
                .Select(h => (Hole: h, Screw: Screws.FirstOrDefault(s => h.DiameterMm >= s.HoleMm)))
                .Where(x => x.Screw.Thread is not null)
                .Select(
                    (x, i) =>
                        new BlockHole
                        {
                            Id = $"S{i + 1}",
                            X = x.Hole.X,
                            Y = x.Hole.Y,
                            ScrewMm = x.Screw.ScrewMm,
                            Thread = x.Screw.Thread,
                            Role = x.Hole.Role,
                            Ring = x.Hole.Role == HoleRole.Retention || !retention ? 1 : 2,
                            Evidence = FigureGrade.Assumed,
                            // the ring round the die is what springs press with
                            SpringUnknown = x.Hole.Role == HoleRole.Retention || !retention,
                        }
                ),
        ];
    }

    /// <summary>One land over all parts of a group, which are alike and equally high.</summary>
    private static Land Land(IReadOnlyList<Part> group, Part die)
    {
        var part = group[0];
        var isDie = part.Kind == PartKind.Die;
        var step = isDie || part.HeightUnknown ? 0 : part.HeightMm + GapMm - die.HeightMm;
        var alone = group.Count == 1 && part.Outline is null;
        return new()
        {
            Id = group.Count == 1 ? $"L-{part.Id}" : $"L-{part.Id}-{group[^1].Id}",
            Outline = alone
                ? new([.. Grown(part).Corners().Select(Rounded)])
                : Round(LandGroups.Around(group).Grown(LandRimMm)),
            StepMm = Math.Round(step, 2),
            StepTolMm = isDie ? 0 : GapTolMm,
            Part = group.Count == 1 ? part.Id : null,
            For = group.Count == 1 ? null : part.Kind,
            Through = isDie ? Through.Paste : Through.Pad,
            Evidence = FigureGrade.Assumed,
        };
    }

    private static Part Grown(Part part) =>
        part with
        {
            WidthMm = part.WidthMm + 2 * LandRimMm,
            DepthMm = part.DepthMm + 2 * LandRimMm,
        };

    /// <summary>The underside clears by a millimetre whatever it serves not.</summary>
    private static double BaseStep(Board board, List<Part> served, Polygon outline, Part die)
    {
        var tallest = board
            .Parts.Where(p =>
                p is { Face: Face.Front, HeightUnknown: false, Kind: not (PartKind.Empty or PartKind.Connector) }
                && !served.Contains(p)
                && p.Under is null
                && outline.Bounds.Meets(p.Top().Bounds)
            )
            .Select(p => p.HeightMm)
            .DefaultIfEmpty(0)
            .Max();
        return Math.Round(Math.Max(MinBaseMm, tallest + ClearMm - die.HeightMm), 2);
    }

    private static Port Port(string id, Polygon outline, double aside) =>
        new(
            id,
            "G1/4",
            Math.Round((outline.Bounds.MinX + outline.Bounds.MaxX) / 2 + aside, 2),
            Math.Round(outline.Bounds.MaxY - RimMm, 2),
            "up",
            "either"
        );

    private static Polygon Round(Bounds b) =>
        new([
            .. (
                (ReadOnlySpan<Point2>)
                    [new(b.MinX, b.MinY), new(b.MaxX, b.MinY), new(b.MaxX, b.MaxY), new(b.MinX, b.MaxY)]
            )
                .ToArray()
                .Select(Rounded),
        ]);

    private static Point2 Rounded(Point2 p) => new(Math.Round(p.X, 2), Math.Round(p.Y, 2));
}
