using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
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
        // the edge of bare silicon chips; a lid has none that does
        PeakLimitMPa = Dies.Select(f => f.Part.MaxPressureMPa).Min();
        Loosen();
    }

    public string Id => _model.Plate.Id;

    /// <summary>Whether two opposite screws are turned at once.</summary>
    public bool ByTwo { get; init; }
    public IReadOnlyList<BlockHole> Order { get; }
    public double? PeakLimitMPa { get; }
    public bool PressesDie => Dies.Any();

    private IEnumerable<(Part Part, PasteFilm Film)> Dies => _model.Films.Where(f => f.Part.Kind == PartKind.Die);

    /// <summary>Screws that are not home yet, in their order.</summary>
    public IEnumerable<BlockHole> Open => Order.Where(h => _remaining[h.Id] > 1e-9);

    /// <summary>Turns left until home.</summary>
    public double TurnsLeft(BlockHole hole) =>
        _remaining[hole.Id] / ScrewThread.Parse(hole.Thread, hole.ScrewMm).PitchMm;

    /// <summary>Moves from just started to home by even steps, at most.</summary>
    public double MovesAt(double turns) => Order.Sum(h => Math.Ceiling(TurnsLeft(h) / turns) + 1);

    /// <summary>All screws just started again.</summary>
    public void Loosen()
    {
        foreach (var hole in Order)
            _remaining[hole.Id] = StartRemaining(hole);
        _pose = new(_startMm, 0, 0);
    }

    /// <summary>
    /// How far each head is from home when it just grips, mm: its spring begins to give at zero bond line; a head
    /// without a spring touches the plate as it rests on its pads.
    /// </summary>
    private double GripMm(BlockHole hole) =>
        hole.Spring is { } s
            ? Math.Max(0, s.TravelMm)
            : Math.Max(
                0,
                _model.Pads.Select(p => p.Contact.Squash(0) * p.Pad.ThicknessMm).Append(_model.HomeMm).Max()
                    - _model.StopMm(hole)
            );

    private double GripTurns(BlockHole hole) => GripMm(hole) / ScrewThread.Parse(hole.Thread, hole.ScrewMm).PitchMm;

    /// <summary>Turns from just gripping to home, of the screws that have most.</summary>
    public double TurnsFromGrip => Order.Select(GripTurns).DefaultIfEmpty(0).Max();

    /// <summary>
    /// One pass: from where every screw stands equally deep, each is turned once, in its order, by the same share of
    /// its way.
    /// </summary>
    /// <param name="depth">Turns since just gripping, and of this pass, of the screws that have most.</param>
    public IEnumerable<TighteningMove> Pass(double depth, double amount, int pass)
    {
        var whole = TurnsFromGrip;
        foreach (var hole in Order)
            _remaining[hole.Id] = Math.Max(0, GripMm(hole) * (1 - depth / whole));
        _pose = new(_startMm, 0, 0);
        foreach (var move in Turn([.. Open], pass, h => GripTurns(h) * amount / whole))
            yield return move;
    }

    /// <summary>Each of the screws named, by so many turns, in their order; two at once where both hands turn.</summary>
    public IEnumerable<TighteningMove> Turn(IReadOnlyList<BlockHole> open, int pass, double turns) =>
        Turn(open, pass, _ => turns);

    private IEnumerable<TighteningMove> Turn(IReadOnlyList<BlockHole> open, int pass, Func<BlockHole, double> turns) =>
        Hands.SelectMany(together => Turn([.. together.Where(open.Contains).Select(h => (h, turns(h)))], pass));

    /// <summary>
    /// What is turned at once: each screw by itself, or two opposite ones where both hands turn and the order crosses the
    /// plate from each to its opposite.
    /// </summary>
    private IEnumerable<IReadOnlyList<BlockHole>> Hands =>
        ByTwo && Opposite.InOrder(Order) is { } pairs ? pairs : Order.Select(h => (IReadOnlyList<BlockHole>)[h]);

    /// <summary>Every screw home.</summary>
    public PlateState AtRest()
    {
        foreach (var hole in Order)
            _remaining[hole.Id] = 0;
        var screws = _model.Screws(h => 0).Select(s => s.Contact);
        _pose = PlateBalance.Solve([.. _fixed, .. screws], new(_startMm, 0, 0));
        return new(TiltOf(_pose), _model.Films.ConvertAll(f => SeatingSolver.Die(f.Part, f.Film, _pose, _paste)));
    }

    /// <summary>Which limit a state is past: tilt, load or pressure; null where none.</summary>
    public string? BrokenBy(PlateState state, TighteningLimits limits)
    {
        if (state.TiltDeg > limits.TiltDeg)
            return "tilt";
        if (state.Dies.Any(d => d.LoadN > d.MaxLoadN))
            return "load";
        var silicon = Dies.Select(d => d.Part.Id).ToHashSet();
        return state.Dies.Any(d => silicon.Contains(d.Part) && d.PeakMPa > d.MaxPressureMPa) ? "pressure" : null;
    }

    public string? BrokenBy(TighteningMove move, TighteningLimits limits) => BrokenBy(move.State!, limits);

    /// <summary>The larger of the turns about x and y, degrees.</summary>
    private static double TiltOf(PlatePose pose) => Math.Max(Math.Abs(pose.TiltDeg.X), Math.Abs(pose.TiltDeg.Y));

    /// <summary>Less than this to go is home, mm.</summary>
    private const double HomeMm = 1e-9;

    /// <summary>How far the head is from home when it first touches spring or plate, mm.</summary>
    private double StartRemaining(BlockHole hole) =>
        hole.Spring is { } s
            ? Math.Max(0, s.TravelMm + _startMm - _model.HomeMm)
            : Math.Max(0, _startMm - _model.StopMm(hole));

    /// <summary>Turns one screw, at most home, and lets the plate come to rest.</summary>
    /// <exception cref="InputException">The plate has no resting place.</exception>
    public TighteningMove Turn(BlockHole hole, int pass, double turns) => Turn([(hole, turns)], pass)[0];

    /// <summary>Turns screws at the same time; every move tells the plate as it stands after all of them.</summary>
    private List<TighteningMove> Turn(IReadOnlyList<(BlockHole Hole, double Turns)> together, int pass)
    {
        if (together.Count == 0)
            return [];
        var advances = new List<double>();
        foreach (var (hole, turns) in together)
        {
            var pitch = ScrewThread.Parse(hole.Thread, hole.ScrewMm).PitchMm;
            advances.Add(Math.Min(turns * pitch, _remaining[hole.Id]));
            _remaining[hole.Id] -= advances[^1];
        }
        var screws = _model.Screws(h => _remaining[h.Id]).ToList();
        // at home the screws hold it, and nothing else does
        var held = Open.Any() ? [_weight] : Array.Empty<Contact>();
        _pose = PlateBalance.Solve([.. _fixed, .. screws.Select(s => s.Contact), .. held], _pose);
        var dies = _model.Films.ConvertAll(f => SeatingSolver.Die(f.Part, f.Film, _pose, _paste));
        var films = dies.SelectMany(d => d.BondLinesUm).ToList();
        var tilt = TiltOf(_pose);
        var bare = dies.Where(d => Dies.Any(f => f.Part.Id == d.Part)).Select(d => d.PeakMPa).DefaultIfEmpty(0).Max();
        return [.. together.Select((t, i) => Move(t.Hole, advances[i]))];
        TighteningMove Move(BlockHole hole, double advance)
        {
            var thread = ScrewThread.Parse(hole.Thread, hole.ScrewMm);
            var load = Math.Max(0, -SeatingSolver.Load(screws.First(s => s.Hole.Id == hole.Id).Contact, _pose));
            return new(
                hole.Id,
                pass,
                advance / thread.PitchMm,
                load,
                thread.TorqueNm(load),
                tilt,
                bare,
                advance,
                films.Count == 0 ? [] : [films.Min(), films.Max()]
            )
            {
                Plate = Id,
                State = new(tilt, dies),
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
    }

    /// <summary>
    /// A touch in the plate's middle, so that it lies on its pads while no screw holds it. It is no load: no document
    /// states one, and it is far under what any film or pad shows.
    /// </summary>
    private sealed class DeadWeight(Geometry.Point2 at) : Contact([new(at.X, at.Y, 1)])
    {
        private const double WeightN = 1e-3;

        public override (double Force, double Slope) At(double heightMm) => (-WeightN, 0);
    }
}
