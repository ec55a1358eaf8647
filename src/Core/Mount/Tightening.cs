using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads.Seating;

namespace FaithfulBracket.Core.Mount;

/// <summary>One turn of one screw and what it does.</summary>
/// <param name="Turns">Turns made, clockwise seen on the head.</param>
/// <param name="LoadN">Pull of this screw afterwards, N.</param>
/// <param name="TiltDeg">Angle between plate and board, degrees.</param>
/// <param name="PeakMPa">Highest pressure at a die's edge.</param>
/// <param name="FilmUm">Thinnest and thickest film at a die corner.</param>
public sealed record TighteningMove(
    string Hole,
    int Pass,
    double Turns,
    double LoadN,
    double TorqueNm,
    double TiltDeg,
    double PeakMPa,
    double AdvanceMm,
    IReadOnlyList<double> FilmUm
);

public sealed record Worst(double TiltDeg, double PeakMPa);

/// <param name="RecommendedTurns">The largest even step that keeps tilt and pressure in bounds.</param>
/// <param name="OneCornerFirst">The same screws with the first turned home at once.</param>
public sealed record TighteningResult(
    IReadOnlyList<string> Order,
    IReadOnlyList<TighteningMove> Moves,
    Worst Worst,
    double RecommendedTurns,
    int Passes,
    double TiltLimitDeg,
    double? PeakLimitMPa,
    Worst? OneCornerFirst
);

/// <summary>Simulates a tightening screw by screw, re-solving the seating after every move.</summary>
public sealed class Tightening
{
    /// <summary>More tilt than this while tightening is out of bounds, degrees.</summary>
    public const double DefaultTiltLimitDeg = 0.3;

    private static readonly double[] Steps = [2, 1.5, 1, 0.75, 0.5, 0.25, 0.125];

    private readonly PlateModel _model;
    private readonly IReadOnlyList<Contact> _fixed;
    private readonly PasteMaterial _paste;
    private readonly IReadOnlyList<BlockHole> _order;
    private readonly double _startMm;
    private readonly double? _peakLimit;

    private Tightening(PlateModel model, PasteMaterial paste, IReadOnlyList<BlockHole> order)
    {
        (_model, _paste, _order) = (model, paste, order);
        _fixed = [.. SeatingSolver.Contacts(model)];
        _startMm = Math.Max(
            model.HomeMm + StartFilmMm,
            model
                .Pads.Select(p => p.Contact.Squash(0) * p.Pad.ThicknessMm)
                .DefaultIfEmpty(double.NegativeInfinity)
                .Max()
        );
        _peakLimit = model.Films.Select(f => f.Part.MaxPressureMPa).Min();
    }

    /// <summary>Paste as laid before any screw pulls, mm.</summary>
    private const double StartFilmMm = 0.2;

    /// <param name="order">Holes in the order to turn; the cross by default.</param>
    /// <param name="turnsPerMove">Step; the recommended one by default.</param>
    /// <exception cref="InputException">The order does not name every screw of the plate once, or the seating can not be solved.</exception>
    public static TighteningResult Simulate(
        Board board,
        Block block,
        IReadOnlyList<LaidPad> pads,
        IReadOnlyDictionary<string, PadMaterial> materials,
        PasteMaterial paste,
        double? turnsPerMove = null,
        IReadOnlyList<string>? order = null,
        double tiltLimitDeg = DefaultTiltLimitDeg,
        CancellationToken cancel = default
    )
    {
        var model = PlateModel.For(board, block, pads, Fresh(materials), paste)[0];
        var sim = new Tightening(model, paste, Ordered(model, order));
        var recommended = Steps[^1];
        IReadOnlyList<TighteningMove> moves = [];
        foreach (var step in Steps)
        {
            moves = sim.Run(step, cancel);
            recommended = step;
            if (sim.InBounds(moves, tiltLimitDeg))
                break;
        }
        if (turnsPerMove is { } turns && turns != recommended)
            moves = sim.Run(turns, cancel);
        return new(
            [.. sim._order.Select(h => h.Id)],
            moves,
            WorstOf(moves),
            recommended,
            moves.Max(m => m.Pass),
            tiltLimitDeg,
            sim._peakLimit,
            WorstOf(sim.CornerFirst(cancel))
        );
    }

    /// <summary>Moves of one's own, from screws just started.</summary>
    /// <param name="turns">Screw and turns of each move; more than is left goes home.</param>
    /// <exception cref="InputException">A screw is not of this plate.</exception>
    public static PracticeResult Practise(
        Board board,
        Block block,
        IReadOnlyList<LaidPad> pads,
        IReadOnlyDictionary<string, PadMaterial> materials,
        PasteMaterial paste,
        IReadOnlyList<(string Hole, double Turns)> turns,
        double tiltLimitDeg = DefaultTiltLimitDeg,
        CancellationToken cancel = default
    )
    {
        var model = PlateModel.For(board, block, pads, Fresh(materials), paste)[0];
        var sim = new Tightening(model, paste, ScrewOrder.Of(model.Plate.Holes));
        var remaining = sim._order.ToDictionary(h => h.Id, sim.StartRemaining);
        var pose = new PlatePose(sim._startMm, 0, 0);
        var moves = new List<TighteningMove>();
        for (var i = 0; i < turns.Count; i++)
        {
            cancel.ThrowIfCancellationRequested();
            var hole =
                sim._order.FirstOrDefault(h => h.Id == turns[i].Hole)
                ?? throw new InputException($"/moves/{i}/hole", $"\"{turns[i].Hole}\" is no screw of this plate.");
            moves.Add(sim.Move(hole, 1, turns[i].Turns, remaining, ref pose));
        }
        var cross = Simulate(board, block, pads, materials, paste, tiltLimitDeg: tiltLimitDeg, cancel: cancel);
        var corner = sim.CornerFirst(cancel);
        double Score(IReadOnlyList<TighteningMove> m) =>
            PracticeScore.Of(WorstOf(m), m.Count, cross.Worst, cross.Moves.Count, tiltLimitDeg, sim._peakLimit);
        var home = remaining.Values.All(r => r <= 1e-9);
        return new(
            moves,
            [.. sim._order.Select(h => new ScrewLeft(h.Id, remaining[h.Id] / Thread.Of(h.Thread, h.ScrewMm).PitchMm))],
            home,
            moves.Count == 0 ? new(0, 0) : WorstOf(moves),
            home ? Score(moves) : null,
            Score(cross.Moves),
            Score(corner),
            cross.Worst,
            WorstOf(corner),
            cross.Moves.Count,
            tiltLimitDeg,
            sim._peakLimit
        );
    }

    /// <summary>Pads have not relaxed yet while screws are turned.</summary>
    private static Dictionary<string, PadMaterial> Fresh(IReadOnlyDictionary<string, PadMaterial> materials) =>
        materials.ToDictionary(m => m.Key, m => m.Value.WhileMounting());

    private static IReadOnlyList<BlockHole> Ordered(PlateModel model, IReadOnlyList<string>? order)
    {
        if (order is null)
            return ScrewOrder.Of(model.Plate.Holes);
        var named = order.Select(id => model.Plate.Holes.FirstOrDefault(h => h.Id == id)).ToList();
        var unknown = named.FindIndex(h => h is null);
        if (unknown >= 0)
            throw new InputException(
                $"/order/{unknown}",
                $"\"{order[unknown]}\" is no hole of plate {model.Plate.Id}."
            );
        if (order.Distinct().Count() != model.Plate.Holes.Count || order.Count != model.Plate.Holes.Count)
            throw new InputException("/order", $"Name each of the {model.Plate.Holes.Count} screws once.");
        return named!;
    }

    private bool InBounds(IReadOnlyList<TighteningMove> moves, double tiltLimitDeg) =>
        moves.All(m => m.TiltDeg <= tiltLimitDeg && (_peakLimit is not { } limit || m.PeakMPa <= limit));

    private static Worst WorstOf(IReadOnlyList<TighteningMove> moves) =>
        new(moves.Max(m => m.TiltDeg), moves.Max(m => m.PeakMPa));

    /// <summary>How far the head is from home when it first touches spring or plate, mm.</summary>
    private double StartRemaining(BlockHole hole) =>
        hole.Spring is { } s ? s.TravelMm + _startMm - _model.HomeMm : Math.Max(0, _startMm - _model.StopMm(hole));

    private IReadOnlyList<TighteningMove> Run(double turnsPerMove, CancellationToken cancel)
    {
        var remaining = _order.ToDictionary(h => h.Id, StartRemaining);
        var moves = new List<TighteningMove>();
        var pose = new PlatePose(_startMm, 0, 0);
        for (var pass = 1; remaining.Values.Any(r => r > 1e-9); pass++)
        {
            foreach (var hole in _order.Where(h => remaining[h.Id] > 1e-9))
            {
                cancel.ThrowIfCancellationRequested();
                moves.Add(Move(hole, pass, turnsPerMove, remaining, ref pose));
            }
        }
        return moves;
    }

    private IReadOnlyList<TighteningMove> CornerFirst(CancellationToken cancel)
    {
        var remaining = _order.ToDictionary(h => h.Id, StartRemaining);
        var moves = new List<TighteningMove>();
        var pose = new PlatePose(_startMm, 0, 0);
        foreach (var hole in _order.Where(h => remaining[h.Id] > 1e-9))
        {
            cancel.ThrowIfCancellationRequested();
            moves.Add(Move(hole, 1, double.PositiveInfinity, remaining, ref pose));
        }
        return moves;
    }

    private TighteningMove Move(
        BlockHole hole,
        int pass,
        double turns,
        Dictionary<string, double> remaining,
        ref PlatePose pose
    )
    {
        var thread = Thread.Of(hole.Thread, hole.ScrewMm);
        var advance = Math.Min(turns * thread.PitchMm, remaining[hole.Id]);
        remaining[hole.Id] -= advance;
        var screws = _model.Screws(h => remaining[h.Id]).ToList();
        pose = PlateBalance.Solve([.. _fixed, .. screws.Select(s => s.Contact), new DeadWeight()], pose);
        var load = Math.Max(0, -SeatingSolver.Load(screws.First(s => s.Hole.Id == hole.Id).Contact, pose));
        var dies = new List<DieContact>();
        foreach (var (part, film) in _model.Films)
            dies.Add(SeatingSolver.Die(part, film, pose, _paste));
        var films = dies.SelectMany(d => d.BondLinesUm).ToList();
        var tilt = Math.Atan(Math.Sqrt(pose.SlopeX * pose.SlopeX + pose.SlopeY * pose.SlopeY)) * 180 / Math.PI;
        return new(
            hole.Id,
            pass,
            advance / thread.PitchMm,
            load,
            thread.TorqueNm(load),
            tilt,
            dies.Count == 0 ? 0 : dies.Max(d => d.PeakMPa),
            advance,
            films.Count == 0 ? [] : [films.Min(), films.Max()]
        );
    }

    /// <summary>The block's own weight and a hand's touch: enough that it lies on its pads before the first turn.</summary>
    private sealed class DeadWeight() : Contact([new(0, 0, 1)])
    {
        private const double WeightN = 5;

        public override (double Force, double Slope) At(double heightMm) => (-WeightN, 0);
    }
}
