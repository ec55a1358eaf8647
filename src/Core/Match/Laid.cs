using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Match;

/// <summary>One plate over its board: how high it stands and what it meets.</summary>
/// <param name="PlaneMm">Height of its reference plane above the board, mm; null when nothing fixes it.</param>
public sealed record LaidPlate(
    Plate Plate,
    double? PlaneMm,
    IReadOnlyList<PartMargin> Clashes,
    IReadOnlyList<PartMargin> Tight
);

/// <summary>A block laid on a board at one placement, with everything measured between them.</summary>
public sealed class Laid
{
    public required Alignment Alignment { get; init; }
    public double? PlaneMm => Plates.FirstOrDefault(p => p.PlaneMm is not null)?.PlaneMm;
    public List<LaidPlate> Plates { get; } = [];
    public List<Pairing> Pairings { get; } = [];
    public List<PartMargin> Clashes { get; } = [];
    public List<PartMargin> Tight { get; } = [];
    public List<PartMargin> Margins { get; } = [];
    public List<string> Uncovered { get; private set; } = [];
    public List<Coverage> Coverage { get; } = [];

    /// <summary>Paired parts with the height left over them, mm.</summary>
    public List<(Pairing Pairing, double GapMm)> Gaps { get; } = [];

    /// <summary>Parts under a plate that no land serves.</summary>
    public List<(Ceiling Ceiling, Part Part)> Loose { get; } = [];

    /// <summary>Heat of the parts that its lands cover, W, and how many they are.</summary>
    public (double Watts, int Parts) Covered { get; private set; }

    public static Laid On(Board board, Block block, Alignment alignment, FitSettings settings)
    {
        var laid = new Laid { Alignment = alignment };
        foreach (var plate in block.Plates)
        {
            var parts = ExposedParts.For(board, block, plate.Face).ToList();
            var pairings = LandPairing.Pair(parts, plate.Lands, alignment.Placement);
            var plane = PlaneHeight.Compute(
                plate.Seat,
                plate.StandoffMm,
                plate.StandoffTolMm,
                pairings.Where(p => p.Share >= LandPairing.MinShare && !p.Part.HeightUnknown),
                settings.BondLineMm
            );
            laid.Pairings.AddRange(pairings);
            laid.Plates.Add(
                laid.Measure(plate, parts.FindAll(p => !p.HeightUnknown), pairings, plane?.Mm, settings.MinClearanceMm)
            );
        }
        laid.Margins.Sort(LeastFirst);
        laid.Clashes.AddRange(laid.Plates.SelectMany(p => p.Clashes).OrderBy(m => m.MarginMm));
        laid.Tight.AddRange(laid.Plates.SelectMany(p => p.Tight).OrderBy(m => m.MarginMm));
        laid.Cover(board, block);
        return laid;
    }

    /// <summary>Parts that another block of the order covers are not this one's to leave bare.</summary>
    public void LeaveToOthers(IReadOnlySet<string> covered) =>
        Uncovered = [.. Uncovered.Where(p => !covered.Contains(p))];

    private static int LeastFirst(PartMargin a, PartMargin b) => a.MarginMm.CompareTo(b.MarginMm);

    private LaidPlate Measure(
        Plate plate,
        List<Part> parts,
        IReadOnlyList<Pairing> pairings,
        double? planeMm,
        double minClearanceMm
    )
    {
        if (planeMm is not { } height)
            return new(plate, null, [], []);
        List<PartMargin> clashes = [],
            tight = [];
        var ceiling = new Ceiling(plate, Alignment.Placement, height);
        foreach (var part in parts)
        {
            var pairing = pairings.FirstOrDefault(p => p.Part.Id == part.Id && p.Share >= LandPairing.MinShare);
            if (pairing is not null)
            {
                var gap = height + pairing.Land.StepMm - part.HeightMm;
                Gaps.Add((pairing, gap));
                if (gap < -1e-9)
                    clashes.Add(new(part.Id, gap, CeilingRegion.Land));
                continue;
            }
            if (ceiling.Over(part, part.Top()) is not { } margin)
                continue;
            Loose.Add((ceiling, part));
            Margins.Add(margin);
            if (margin.MarginMm < -1e-9)
                clashes.Add(margin);
            else if (margin.MarginMm < minClearanceMm - 1e-9)
                tight.Add(margin);
        }
        clashes.Sort(LeastFirst);
        tight.Sort(LeastFirst);
        return new(plate, planeMm, clashes, tight);
    }

    /// <summary>
    /// Every hot part of the board, by how much of its top has a land, whatever the block is for; one that a stock
    /// piece goes on cooling needs none.
    /// </summary>
    private void Cover(Board board, Block block)
    {
        var faces = block.Plates.Select(p => p.Face).ToHashSet();
        var stock = StockCooling.Find(board.Assembly);
        foreach (
            var part in faces
                .SelectMany(f => ExposedParts.For(board, block, f))
                .Where(p => p.Cool != Cooling.No && !stock.Contains(p.Id))
        )
        {
            var pairing = Pairings.Where(p => p.Part.Id == part.Id).MaxBy(p => p.Share);
            Coverage.Add(new(part.Id, pairing?.Land.Id, pairing?.Share ?? 0));
            if ((pairing?.Share ?? 0) < LandPairing.MinShare)
                Uncovered.Add(part.Id);
        }
        var met = Pairings.Where(p => p.Share >= LandPairing.MinShare).DistinctBy(p => p.Part.Id).ToList();
        Covered = (met.Sum(p => p.Share * p.Part.DissipationW), met.Count);
    }
}
