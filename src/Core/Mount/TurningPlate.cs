using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads.Seating;

namespace FaithfulBracket.Core.Mount;

/// <summary>One plate while its screws are turned: where it stands, how far each screw still has to go.</summary>
internal sealed class TurningPlate
{
    /// <summary>Paste as laid before any screw pulls, mm.</summary>
    private const double StartFilmMm = 0.2;

    private readonly PlateModel _model;
    private readonly IReadOnlyList<Contact> _fixed;
    private readonly PasteMaterial _paste;
    private readonly DeadWeight _weight;
    private readonly double _startMm;
    private readonly Dictionary<string, double> _remaining = [];
    private PlatePose _pose;

    public TurningPlate(PlateModel model, PasteMaterial paste, IReadOnlyList<BlockHole> order)
    {
        (_model, _paste, Order) = (model, paste, order);
        _fixed = [.. SeatingSolver.Contacts(model)];
        _weight = new(model.Placement.Apply(model.Plate.Outline).Centroid);
        _startMm = Math.Max(
            model.HomeMm + StartFilmMm,
            model
                .Pads.Select(p => p.Contact.Squash(0) * p.Pad.ThicknessMm)
                .DefaultIfEmpty(double.NegativeInfinity)
                .Max()
        );
        PeakLimitMPa = model.Films.Select(f => f.Part.MaxPressureMPa).Min();
        Loosen();
    }

    public string Id => _model.Plate.Id;
    public IReadOnlyList<BlockHole> Order { get; }
    public double? PeakLimitMPa { get; }
    public bool PressesDie => _model.Films.Count > 0;

    /// <summary>Screws that are not home yet, in their order.</summary>
    public IEnumerable<BlockHole> Open => Order.Where(h => _remaining[h.Id] > 1e-9);

    /// <summary>Turns left until home.</summary>
    public double TurnsLeft(BlockHole hole) => _remaining[hole.Id] / ScrewThread.Of(hole.Thread, hole.ScrewMm).PitchMm;

    /// <summary>Moves from just started to home by even steps, at most.</summary>
    public double MovesAt(double turns) => Order.Sum(h => Math.Ceiling(TurnsLeft(h) / turns) + 1);

    /// <summary>All screws just started again.</summary>
    public void Loosen()
    {
        foreach (var hole in Order)
            _remaining[hole.Id] = StartRemaining(hole);
        _pose = new(_startMm, 0, 0);
    }

    /// <summary>How far the head is from home when it first touches spring or plate, mm.</summary>
    private double StartRemaining(BlockHole hole) =>
        hole.Spring is { } s
            ? Math.Max(0, s.TravelMm + _startMm - _model.HomeMm)
            : Math.Max(0, _startMm - _model.StopMm(hole));

    /// <summary>Turns one screw, at most home, and lets the plate come to rest.</summary>
    /// <exception cref="InputException">The plate has no resting place.</exception>
    public TighteningMove Turn(BlockHole hole, int pass, double turns)
    {
        var thread = ScrewThread.Of(hole.Thread, hole.ScrewMm);
        var advance = Math.Min(turns * thread.PitchMm, _remaining[hole.Id]);
        _remaining[hole.Id] -= advance;
        var screws = _model.Screws(h => _remaining[h.Id]).ToList();
        _pose = PlateBalance.Solve([.. _fixed, .. screws.Select(s => s.Contact), _weight], _pose);
        var load = Math.Max(0, -SeatingSolver.Load(screws.First(s => s.Hole.Id == hole.Id).Contact, _pose));
        var dies = _model.Films.ConvertAll(f => SeatingSolver.Die(f.Part, f.Film, _pose, _paste));
        var films = dies.SelectMany(d => d.BondLinesUm).ToList();
        var tilt = Math.Atan(Math.Sqrt(_pose.SlopeX * _pose.SlopeX + _pose.SlopeY * _pose.SlopeY)) * 180 / Math.PI;
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
        )
        {
            Plate = Id,
            Home = _remaining[hole.Id] <= 1e-9,
            HoldsN = thread.HoldsN,
            Dies =
                dies.Count < 2
                    ? []
                    : dies.ConvertAll(d => new DieMoment(
                        d.Part,
                        d.LoadN,
                        EdgePressure.InWords(d.PeakMPa, d.MaxPressureMPa),
                        d.MaxPressureMPa is { } most && d.PeakMPa > most
                    )
                    {
                        HoldsN = ClampLoad.HoldsN(Order),
                    }),
        };
    }

    /// <summary>
    /// The block's own weight and a hand's touch, in the plate's middle: enough that it lies on its pads before the
    /// first turn.
    /// </summary>
    private sealed class DeadWeight(Geometry.Point2 at) : Contact([new(at.X, at.Y, 1)])
    {
        private const double WeightN = 5;

        public override (double Force, double Slope) At(double heightMm) => (-WeightN, 0);
    }
}
