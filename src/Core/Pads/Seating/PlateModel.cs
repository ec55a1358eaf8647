using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Words.Pads;
using FaithfulBracket.Core.Words.Pads.Seating;

namespace FaithfulBracket.Core.Pads.Seating;

/// <summary>One plate of a block over a board, with its films, pads and screws as contacts.</summary>
public sealed class PlateModel
{
    private const int FilmOrder = 12;
    private const int PadOrder = 3;
    private const int ClippedCells = 24;
    private const int BridgeCells = 6;

    public required Plate Plate { get; init; }
    public required Placement Placement { get; init; }

    /// <summary>Plate height at zero bond line, mm.</summary>
    public required double HomeMm { get; init; }
    public List<(Part Part, PasteFilm Film)> Films { get; } = [];
    public List<(LaidPad Pad, SqueezedPad Contact)> Pads { get; } = [];

    /// <summary>Strips where they lie between two parts.</summary>
    public List<SqueezedPad> Bridges { get; } = [];

    /// <summary>The plates of the block that belong to this board.</summary>
    /// <exception cref="InputException">A pad lies on a part without a pad land, its material is unknown, or nothing
    /// fixes a plate's height.</exception>
    public static IReadOnlyList<PlateModel> For(StackUp stack)
    {
        var ((board, block, placement), pads, materials, paste) = stack;
        var faults = new List<InputFault>();
        var models = new List<PlateModel>();
        var laid = new HashSet<string>();
        foreach (var plate in block.Plates.Concat(BackPlate(board, block, pads)))
        {
            var pairings = LandPairing
                .Pair(ExposedParts.Measured(board, block, plate.Face), plate.Lands, placement)
                .Where(p => p.Share >= LandPairing.MinShare)
                .ToList();
            var plane = PlaneHeight.Compute(plate.Seat, plate.StandoffMm, plate.StandoffTolMm, pairings, 0);
            if (plane is null)
                continue;
            var model = new PlateModel
            {
                Plate = plate,
                Placement = placement,
                HomeMm = plane.Mm,
            };
            foreach (var p in pairings)
            {
                if (p.Land.Through != Through.Pad)
                {
                    model.Films.Add((p.Part, new(Face(p, FilmOrder), p.Land.StepMm - p.Part.HeightMm, paste)));
                    continue;
                }
                var index = pads.ToList().FindIndex(x => x.Part == p.Part.Id);
                if (index < 0)
                    continue;
                laid.Add(p.Part.Id);
                if (!materials.TryGetValue(pads[index].Material, out var material))
                {
                    faults.Add(
                        new($"pads/{index}/material", PadChoiceWords.PadMaterialIsNotKnown(pads[index].Material))
                    );
                    continue;
                }
                model.Pads.Add(
                    (
                        pads[index],
                        new(
                            Face(p, PadOrder),
                            p.Land.StepMm - p.Part.HeightMm,
                            pads[index].ThicknessMm,
                            new(material.Curve)
                        )
                    )
                );
            }
            model.Bridges.AddRange(stack.Bridges.Select(b => Bridge(b, model, pairings, stack)).OfType<SqueezedPad>());
            models.Add(model);
        }
        for (var i = 0; i < pads.Count; i++)
            if (!laid.Contains(pads[i].Part))
                faults.Add(new($"pads/{i}/part", PlateModelWords.HasNoPadLand(pads[i].Part)));
        if (models.Count == 0)
            faults.Add(
                new(
                    "block/plates",
                    board.Parts.FirstOrDefault(p => p.HeightUnknown && p.Kind is PartKind.Die or PartKind.Lid)
                        is { } die
                        ? PlateModelWords.HeightOfIsNotKnownYet(die.Id)
                        : PlateModelWords.NothingFixesBlocksHeight
                )
            );
        return faults.Count > 0 ? throw new InputException(faults) : models;
    }

    /// <summary>A strip between two parts of one land, as high as in the mean over both; null where this plate presses neither.</summary>
    private static SqueezedPad? Bridge(PadBridge bridge, PlateModel model, List<Pairing> pairings, StackUp stack)
    {
        if (
            model.Pads.Find(p => p.Pad.Part == bridge.From).Pad is not { } pad
            || pairings.Find(p => p.Part.Id == bridge.From) is not { } from
            || pairings.Find(p => p.Part.Id == bridge.To) is not { } to
            || from.Land != to.Land
        )
            return null;
        var curve = stack.Materials[pad.Material].Curve.Select(p => new Point2(p.X, p.Y * stack.BridgeShare));
        List<QuadraturePoint> points = [.. Quadrature.Clipped(bridge.Outline, from.LandOutline, BridgeCells)];
        return points.Count == 0
            ? null
            : new(
                points,
                from.Land.StepMm - (from.Part.HeightMm + to.Part.HeightMm) / 2,
                pad.ThicknessMm,
                new([.. curve])
            );
    }

    /// <summary>
    /// The back plate as a plate of its own, once a pad lies on a part under it: its screws hold it on its standoffs,
    /// its heights count from the board's back.
    /// </summary>
    private static IEnumerable<Plate> BackPlate(Board board, Block block, IReadOnlyList<LaidPad> pads)
    {
        if (
            block.BackPlate is not { StandoffMm: { } standoff, Lands.Count: > 0 } back
            || !pads.Any(p => board.FindPart(p.Part)?.Face == Boards.Face.Back)
        )
            yield break;
        var holes = block
            .Plates.SelectMany(p => p.Holes)
            .Where(h => back.UsesHoles.Contains(h.Id))
            .Select(h => h with { Spring = null, StopMm = standoff })
            .ToList();
        if (holes.Count == 0)
            yield break;
        yield return new()
        {
            Id = back.Id,
            Face = Boards.Face.Back,
            Seat = Seat.Standoff,
            StandoffMm = standoff,
            StandoffTolMm = back.StandoffTolMm,
            Outline = back.Lands[0].Outline,
            Lands = back.Lands,
            Holes = holes,
        };
    }

    /// <summary>
    /// The plate's screw holes with the contact each makes when home; screws without spring or stop hold the plate at
    /// the default bond line.
    /// </summary>
    public IEnumerable<(BlockHole Hole, Contact Contact)> Screws(Func<BlockHole, double?>? remainingMm = null)
    {
        foreach (var hole in Plate.Holes)
        {
            var remaining = remainingMm is null ? 0 : remainingMm(hole);
            if (remaining is not { } r)
                continue;
            var at = Placement.Apply(hole.At);
            if (hole.Spring is { } s)
                yield return (hole, new SpringScrew(at, HomeMm, s.RateNPerMm, s.TravelMm - r));
            else
                yield return (hole, new StiffStop(at, StopMm(hole) + r));
        }
    }

    /// <summary>Plate height at which an unsprung screw is home, mm.</summary>
    public double StopMm(BlockHole hole) => hole.StopMm ?? Plate.StandoffMm ?? HomeMm + PlaneHeight.DefaultBondLineMm;

    /// <summary>Standoffs under the plate, where it stands on them.</summary>
    public IEnumerable<Contact> Standoffs() =>
        Plate.Seat != Seat.Standoff
            ? []
            : Plate.Holes.Select(h => new StiffStop(
                Placement.Apply(h.At),
                Plate.StandoffMm ?? HomeMm,
                fromBelow: true
            ));

    private static List<QuadraturePoint> Face(Pairing p, int order) =>
        p.Share > 0.9995 && p.Part.Outline is null
            ? [.. Quadrature.Rectangle(p.Part.At, p.Part.WidthMm, p.Part.DepthMm, p.Part.RotationDeg, order)]
            : [.. Quadrature.Clipped(p.Part.Top(), p.LandOutline, ClippedCells)];
}
