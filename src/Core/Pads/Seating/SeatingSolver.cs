using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Words.Pads.Seating;

namespace FaithfulBracket.Core.Pads.Seating;

/// <summary>Where a block comes to rest: films, pads and screws in balance, on a stiff board or on one that bends.</summary>
public static class SeatingSolver
{
    /// <summary>A film thicker than this at any corner means the block floats, µm.</summary>
    public const double DefaultMaxBondLineUm = 100;

    /// <exception cref="InputException">The input does not describe a block that can come to rest.</exception>
    public static SeatingResult Solve(
        StackUp stack,
        double maxBondLineUm = DefaultMaxBondLineUm,
        BoardStiffness? elastic = null,
        CancellationToken cancel = default
    )
    {
        var dies = new List<DieContact>();
        var squeezed = new List<PadContact>();
        var screwLoads = new List<ScrewLoad>();
        PlatePose? main = null;
        double? bridges = null;
        var (board, block, paste) = (stack.Board, stack.Block, stack.Paste);
        var models = PlateModel.For(stack);
        foreach (var model in models)
        {
            var screws = model.Screws().ToList();
            if (screws.Count == 0)
                throw new InputException("block/plates", SeatingSolverWords.PlateHasNoScrews(model.Plate.Id));
            var pose = PlateBalance.Solve(
                [.. Contacts(model), .. screws.Select(s => s.Contact)],
                new(model.HomeMm + 0.05, 0, 0)
            );
            if (elastic is not null && model.Plate.Face == Face.Front)
            {
                main ??= Bent(
                    board,
                    block,
                    model,
                    screws,
                    pose,
                    paste,
                    elastic,
                    Behind(models),
                    dies,
                    squeezed,
                    screwLoads,
                    cancel
                );
                continue;
            }
            main ??= pose;
            dies.AddRange(model.Films.Select(f => Die(f.Part, f.Film, pose, paste)));
            squeezed.AddRange(
                model.Pads.Select(p => new PadContact(p.Pad.Part, MeanSquash(p.Contact, pose), Load(p.Contact, pose)))
            );
            screwLoads.AddRange(screws.Select(s => new ScrewLoad(s.Hole.Id, Math.Max(0, -Load(s.Contact, pose)))));
            foreach (var b in model.Bridges)
                bridges = (bridges ?? 0) + Load(b, pose);
        }
        // a screw through both plates pulls as hard as the harder of the two asks
        var holes = models.SelectMany(m => m.Plate.Holes).DistinctBy(h => h.Id).ToDictionary(h => h.Id);
        screwLoads =
        [
            .. screwLoads
                .GroupBy(s => s.Hole)
                .Select(g => g.MaxBy(s => s.LoadN)! with { HoldsN = ClampLoad.HoldsN([holes[g.Key]]) }),
        ];
        var (x, y) = main!.Value.TiltDeg;
        var floats = dies.Any(d => d.BondLinesUm.Any(b => b > maxBondLineUm));
        var holds = ClampLoad.HoldsN(holes.Values);
        var unknown = UnknownSprings.Describe(holes.Values);
        return new(
            [.. dies.Select(d => d with { HoldsN = holds, LoadUnknown = unknown is not null })],
            [x, y],
            squeezed,
            screwLoads,
            floats,
            main.Value.ZMm,
            unknown is not null
                ? WithoutLoad(dies, squeezed, unknown)
                : ClampLoad.Strips(screwLoads) ?? Why(dies, squeezed, floats, maxBondLineUm)
        )
        {
            BridgesN = bridges,
        };
    }

    private const int FilmPatches = 6;

    /// <summary>What a back plate does to the board: its pads press it forward, its standoffs hold it back.</summary>
    private static List<BowLoad> Behind(IReadOnlyList<PlateModel> models)
    {
        var loads = new List<BowLoad>();
        foreach (var model in models.Where(m => m.Plate.Face == Face.Back))
        {
            var screws = model.Screws().ToList();
            var pose = PlateBalance.Solve(
                [.. Contacts(model), .. screws.Select(s => s.Contact)],
                new(model.HomeMm, 0, 0)
            );
            loads.AddRange(
                model.Pads.Select(p => ElasticSeating.Patch(p.Contact) with { ForceN = Load(p.Contact, pose) })
            );
            loads.AddRange(model.Bridges.Select(b => ElasticSeating.Patch(b) with { ForceN = Load(b, pose) }));
            loads.AddRange(screws.Select(s => ElasticSeating.Patch(s.Contact) with { ForceN = Load(s.Contact, pose) }));
        }
        return [.. loads.Where(l => Math.Abs(l.ForceN) > 1e-9)];
    }

    /// <summary>The balance on a bending board; each film is cut into patches so that the board may curve under it.</summary>
    private static PlatePose Bent(
        Board board,
        Block block,
        PlateModel model,
        List<(BlockHole Hole, Contact Contact)> screws,
        PlatePose stiff,
        PasteMaterial paste,
        BoardStiffness stiffness,
        List<BowLoad> behind,
        List<DieContact> dies,
        List<PadContact> squeezed,
        List<ScrewLoad> screwLoads,
        CancellationToken cancel
    )
    {
        var films = model.Films.Select(f => (f.Part, f.Film, Pieces: Patches(f.Film, f.Part, paste))).ToList();
        List<Contact> contacts =
        [
            .. films.SelectMany(f => f.Pieces),
            .. model.Pads.Select(p => p.Contact),
            .. screws.Select(s => s.Contact),
            .. model.Standoffs(),
            .. model.Bridges,
        ];
        var problem = new BowProblem(board.Outline, board.ThicknessMm, stiffness.EMPa, stiffness.Nu)
        {
            Elements = stiffness.Elements,
            Layers = Layers(board, block, model, stiffness),
        };
        var all = BoardBow.Compliance(
            problem,
            [.. contacts.Select(c => ElasticSeating.Patch(c)), .. behind],
            [],
            cancel
        );
        var n = contacts.Count;
        var compliance = new double[n, n];
        var pushed = new double[n];
        for (var i = 0; i < n; i++)
        {
            for (var j = 0; j < n; j++)
                compliance[i, j] = all[i, j];
            // patches are unit loads: scaled by what the back plate presses with
            for (var j = 0; j < behind.Count; j++)
                pushed[i] += all[i, n + j] * behind[j].ForceN;
        }
        var bent = new ElasticSeating(contacts, compliance, pushed).Solve(stiff);
        double HeightOf(int i) => bent.Pose.At(ElasticSeating.Middle(contacts[i])) - bent.Deflection[i];
        double LoadOf(int i) => contacts[i].At(HeightOf(i)).Force * contacts[i].Points.Sum(q => q.WeightMm2);
        var at = 0;
        foreach (var f in films)
        {
            double load = 0;
            var die = LeastSquaresPlane.Fit([
                .. f.Pieces.Select((c, k) => (ElasticSeating.Middle(c), bent.Deflection[at + k])),
            ]);
            for (var k = 0; k < f.Pieces.Count; k++)
                load += LoadOf(at++);
            double[] lines = [.. f.Part.Corners().Select(c => f.Film.FilmMm(bent.Pose.At(c) - die.At(c)) * 1000)];
            dies.Add(
                new(
                    f.Part.Id,
                    lines,
                    load,
                    paste.PressureMPa(Math.Max(lines.Min(), 0.1)),
                    f.Part.MaxLoadN,
                    f.Part.MaxPressureMPa
                )
            );
        }
        foreach (var p in model.Pads)
        {
            squeezed.Add(new(p.Pad.Part, p.Contact.Squash(HeightOf(at)), LoadOf(at)));
            at++;
        }
        foreach (var s in screws)
            screwLoads.Add(new(s.Hole.Id, Math.Max(0, -LoadOf(at++))));
        return bent.Pose;
    }

    private static List<PasteFilm> Patches(PasteFilm film, Part part, PasteMaterial paste)
    {
        var frame = new Placement(part.X, part.Y, part.RotationDeg);
        int Cell(double v, double size) => Math.Clamp((int)((v / size + 0.5) * FilmPatches), 0, FilmPatches - 1);
        return
        [
            .. film
                .Points.GroupBy(q =>
                {
                    var p = (new Point2(q.X, q.Y) - part.At).Turned(-frame.Radians);
                    return (Cell(p.X, part.WidthMm), Cell(p.Y, part.DepthMm));
                })
                .Select(g => new PasteFilm([.. g], -film.FloorMm, paste)),
        ];
    }

    /// <summary>Silicon keeps its package flat beneath it: it moves and turns but does not curve.</summary>
    private const double DieTimes = 300;

    private static List<BowLayer> Layers(Board board, Block block, PlateModel model, BoardStiffness laminate)
    {
        List<BowLayer> layers =
        [
            .. BoardLayers.Compute(board, laminate.Joined),
            .. board
                .Parts.Where(p =>
                    board.SocketFrame is null && p.Face == Face.Front && p.Kind is PartKind.Die or PartKind.Lid
                )
                .Select(p => BoardLayers.Times(p.Top(), DieTimes, board, laminate)),
        ];
        if (BackPlateLayer.Compute(board, laminate, block, model.Placement) is { } plate)
            layers.Add(plate);
        return layers;
    }

    internal static IEnumerable<Contact> Contacts(PlateModel model) =>
        [
            .. model.Films.Select(f => (Contact)f.Film),
            .. model.Pads.Select(p => p.Contact),
            .. model.Standoffs(),
            .. model.Bridges,
        ];

    internal static DieContact Die(Part part, PasteFilm film, PlatePose pose, PasteMaterial paste)
    {
        double[] corners = [.. part.Corners().Select(c => film.FilmMm(pose.At(c)) * 1000)];
        return new(
            part.Id,
            corners,
            Load(film, pose),
            paste.PressureMPa(Math.Max(corners.Min(), 0.1)),
            part.MaxLoadN,
            part.MaxPressureMPa
        );
    }

    internal static double Load(Contact contact, PlatePose pose)
    {
        double sum = 0;
        foreach (var q in contact.Points)
            sum += contact.At(pose.At(q.X, q.Y)).Force * q.WeightMm2;
        return sum;
    }

    private static double MeanSquash(SqueezedPad pad, PlatePose pose)
    {
        double sum = 0,
            area = 0;
        foreach (var q in pad.Points)
        {
            sum += pad.Squash(pose.At(q.X, q.Y)) * q.WeightMm2;
            area += q.WeightMm2;
        }
        return area > 0 ? sum / area : 0;
    }

    private static Message WithoutLoad(List<DieContact> dies, List<PadContact> pads, string unknown) =>
        SeatingSolverWords.PadsPushBack(pads.Sum(p => p.LoadN))
        + SeatingSolverWords.WhatPressesIsUnknown(dies.Count > 1 ? "the dies" : "the die", unknown);

    private static Message Why(List<DieContact> dies, List<PadContact> pads, bool floats, double limitUm)
    {
        if (dies.Count == 0)
            return SeatingSolverWords.NoDieIsUnderPaste;
        var films = dies.SelectMany(d => d.BondLinesUm).ToList();
        var film =
            films.Max() - films.Min() < 0.5
                ? FormattableString.Invariant($"{films.Max():0}")
                : FormattableString.Invariant($"{films.Min():0}–{films.Max():0}");
        var load = dies.Sum(d => d.LoadN);
        var push = SeatingSolverWords.PadsPushBackDieKeeps(pads.Sum(p => p.LoadN), load);
        var limit =
            dies.Count == 1 && dies[0].MaxLoadN is { } max ? FormattableString.Invariant($" of {max:0} allowed") : "";
        return floats
            ? SeatingSolverWords.FilmIsMore(push, limit, film, limitUm)
            : SeatingSolverWords.FilmIsItDoesNotFloat(push, limit, film);
    }
}
