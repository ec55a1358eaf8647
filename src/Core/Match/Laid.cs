using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Match;

/// <summary>A block laid on a board at one of its allowed turns, with everything measured between them.</summary>
public sealed class Laid
{
    public required Alignment Alignment { get; init; }
    public double? PlaneMm { get; private init; }
    public List<Pairing> Pairings { get; } = [];
    public List<PartMargin> Clashes { get; } = [];
    public List<PartMargin> Tight { get; } = [];
    public List<PartMargin> Margins { get; private set; } = [];
    public List<string> Uncovered { get; } = [];
    public List<Coverage> Coverage { get; } = [];

    /// <summary>Paired parts with the height left over them, mm.</summary>
    public List<(Pairing Pairing, double GapMm)> Gaps { get; } = [];

    /// <summary>Parts under a plate that no land serves.</summary>
    public List<(Ceiling Ceiling, Part Part)> Loose { get; } = [];

    public static Laid On(Board board, Block block, IReadOnlyList<Plate> plates, double turn, FitSettings settings)
    {
        List<BlockHole> holes = [.. plates.SelectMany(p => p.Holes)];
        var alignment = HoleAlignment.Align(board, holes, turn);
        var paired = plates
            .Select(plate =>
            {
                var parts = ExposedParts.For(board, block, plate.Face).ToList();
                var pairings = LandPairing.Pair(parts, plate.Lands, alignment.Placement);
                var plane = PlaneHeight.Of(
                    plate.Seat,
                    plate.StandoffMm,
                    plate.StandoffTolMm,
                    pairings.Where(p => p.Share >= LandPairing.LeastShare),
                    settings.BondLineMm
                );
                return (Plate: plate, Parts: parts, Pairings: pairings, Plane: plane);
            })
            .ToList();
        var laid = new Laid
        {
            Alignment = alignment,
            PlaneMm = paired.FirstOrDefault(p => p.Plane is not null).Plane?.Mm,
        };
        foreach (var (plate, parts, pairings, plane) in paired)
        {
            laid.Pairings.AddRange(pairings);
            if (plane is null)
                continue;
            laid.Measure(plate, parts, pairings, plane.Mm, settings.MinClearanceMm);
        }
        laid.Margins = [.. laid.Margins.OrderBy(m => m.MarginMm)];
        laid.Clashes.Sort((a, b) => a.MarginMm.CompareTo(b.MarginMm));
        laid.Tight.Sort((a, b) => a.MarginMm.CompareTo(b.MarginMm));
        laid.Cover(board, block, plates);
        return laid;
    }

    private void Measure(
        Plate plate,
        List<Part> parts,
        IReadOnlyList<Pairing> pairings,
        double planeMm,
        double minClearanceMm
    )
    {
        var ceiling = new Ceiling(plate, Alignment.Placement, planeMm);
        foreach (var part in parts)
        {
            var pairing = pairings.FirstOrDefault(p => p.Part.Id == part.Id && p.Share >= LandPairing.LeastShare);
            if (pairing is not null)
            {
                var gap = planeMm + pairing.Land.StepMm - part.HeightMm;
                Gaps.Add((pairing, gap));
                if (gap < -1e-9)
                    Clashes.Add(new(part.Id, gap, CeilingRegion.Land));
                continue;
            }
            if (ceiling.Over(part, part.Top()) is not { } margin)
                continue;
            Loose.Add((ceiling, part));
            Margins.Add(margin);
            if (margin.MarginMm < -1e-9)
                Clashes.Add(margin);
            else if (margin.MarginMm < minClearanceMm - 1e-9)
                Tight.Add(margin);
        }
    }

    /// <summary>Every hot part on a face the block serves, by how much of its top has a land.</summary>
    private void Cover(Board board, Block block, IReadOnlyList<Plate> plates)
    {
        var faces = plates.Select(p => p.Face).ToHashSet();
        // a small block for one kind of part leaves the others to other blocks
        var serves = block.Kind is BlockKind.Chip or BlockKind.PowerStage
            ? plates.SelectMany(p => p.Lands).Select(l => l.For).OfType<PartKind>().ToHashSet()
            : null;
        foreach (
            var part in faces
                .SelectMany(f => ExposedParts.For(board, block, f))
                .Where(p => p.Cool != Cooling.No && serves?.Contains(p.Kind) != false)
        )
        {
            var pairing = Pairings.Where(p => p.Part.Id == part.Id).MaxBy(p => p.Share);
            Coverage.Add(new(part.Id, pairing?.Land.Id, pairing?.Share ?? 0));
            if ((pairing?.Share ?? 0) < LandPairing.LeastShare)
                Uncovered.Add(part.Id);
        }
    }
}
