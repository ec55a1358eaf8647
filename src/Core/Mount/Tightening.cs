using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Words.Mount;

namespace FaithfulBracket.Core.Mount;

/// <summary>Simulates a tightening screw by screw, plate by plate, re-solving the seating after every move.</summary>
public static class Tightening
{
    /// <summary>More tilt than this while tightening is out of bounds, degrees.</summary>
    public const double DefaultTiltLimitDeg = 0.5;

    public const int MaxScrews = 64,
        MaxMoves = 4000;

    public static string InWords => TighteningWords.LimitsScrewsMoves;

    private static readonly double[] Steps = [2, 1.5, 1, 0.75, 0.5, 0.25, 0.125];

    /// <param name="stack">As it is while mounting: see <see cref="StackUp.WhileMounting"/>.</param>
    /// <param name="order">Holes in the order to turn; the cross by default.</param>
    /// <param name="turnsPerMove">Step; the recommended one by default.</param>
    /// <param name="byTwo">As for <see cref="Passes"/>.</param>
    /// <exception cref="InputException">
    /// The order does not name every screw once, or the seating cannot be solved.
    /// </exception>
    public static TighteningResult Simulate(
        StackUp stack,
        double? turnsPerMove = null,
        IReadOnlyList<string>? order = null,
        double tiltLimitDeg = DefaultTiltLimitDeg,
        bool byTwo = false,
        CancellationToken cancel = default
    )
    {
        var plates = Plates(stack, order, byTwo);
        if (turnsPerMove is { } asked && plates.Sum(p => p.MovesAt(asked)) is var many && many > MaxMoves)
            throw new InputException("turnsPerMove", TighteningWords.MovesAtThisStep(many, MaxMoves));
        var steps = plates.ConvertAll(p => Recommended(p, tiltLimitDeg, cancel));
        var recommended = steps.Min(s => s.Turns);
        var taken = turnsPerMove ?? recommended;
        var runs = plates.ConvertAll(p => (Plate: p, Moves: Run(p, taken, cancel)));
        var moves = runs.SelectMany(r => r.Moves).ToList();
        var corner = plates.SelectMany(p => CornerFirst(p, cancel)).ToList();
        return new(
            [.. plates.SelectMany(p => p.Order).Select(h => h.Id)],
            moves,
            WorstOf(moves),
            recommended,
            moves.Select(m => m.Pass).DefaultIfEmpty(0).Max(),
            tiltLimitDeg,
            plates.Select(p => p.PeakLimitMPa).Min(),
            WorstOf(corner)
        )
        {
            TakenTurns = taken,
            RecommendedKeepsBounds = steps.TrueForAll(s => s.Keeps),
            PressesDie = plates.Exists(p => p.PressesDie),
            Within = runs.TrueForAll(r => r.Moves.TrueForAll(m => r.Plate.BrokenBy(m, new(tiltLimitDeg)) is null)),
        };
    }

    /// <summary>
    /// The fewest passes from just gripping to home that keep every limit, each of an amount that a hand can turn.
    /// </summary>
    /// <param name="amounts">Simulates just these passes instead.</param>
    /// <param name="byTwo">Two opposite screws are turned at once, where the order crosses from each to its opposite.</param>
    /// <exception cref="InputException">As for <see cref="Simulate"/>.</exception>
    public static TighteningResult Passes(
        StackUp stack,
        IReadOnlyList<double>? amounts = null,
        IReadOnlyList<string>? order = null,
        double tiltLimitDeg = DefaultTiltLimitDeg,
        bool byTwo = false,
        CancellationToken cancel = default
    )
    {
        var plates = Plates(stack, order, byTwo);
        var limits = new TighteningLimits(tiltLimitDeg);
        var passes = new List<TighteningPass>();
        var (within, home) = (true, true);
        string? broken = null;
        foreach (var plate in plates)
        {
            var search = new PassSearch(plate, limits, cancel);
            var chain = amounts ?? search.Find();
            if (chain is null)
            {
                broken ??= search.Broken ?? "tilt";
                chain = Smallest(plate.TurnsFromGrip);
            }
            double depth = 0;
            for (var k = 0; k < chain.Count; k++)
            {
                cancel.ThrowIfCancellationRequested();
                var amount = Math.Min(chain[k], plate.TurnsFromGrip - depth);
                if (amount <= EvenTurns)
                    break;
                List<TighteningMove> moves = [.. plate.Pass(depth, amount, k + 1)];
                within &= moves.TrueForAll(m => plate.BrokenBy(m, limits) is null);
                depth += amount;
                if (k < passes.Count)
                    passes[k] = new(Math.Max(passes[k].Turns, amount), [.. passes[k].Moves, .. moves]);
                else
                    passes.Add(new(amount, moves));
            }
            var atHome = plate.TurnsFromGrip - depth <= EvenTurns;
            home &= atHome;
            if (atHome)
                within &= plate.BrokenBy(plate.AtRest(), limits) is null;
        }
        List<TighteningMove> all = [.. passes.SelectMany(p => p.Moves)];
        var corner = plates.SelectMany(p => CornerFirst(p, cancel)).ToList();
        var taken = passes.Select(p => p.Turns).DefaultIfEmpty(0).Max();
        return new(
            [.. plates.SelectMany(p => p.Order).Select(h => h.Id)],
            all,
            WorstOf(all),
            taken,
            passes.Count,
            tiltLimitDeg,
            plates.Select(p => p.PeakLimitMPa).Min(),
            WorstOf(corner)
        )
        {
            TakenTurns = taken,
            RecommendedKeepsBounds = within,
            PressesDie = plates.Exists(p => p.PressesDie),
            PassList = passes,
            Within = within,
            Home = home,
            Broken = broken,
            Fewest = amounts is null,
        };
    }

    /// <summary>Nobody makes more passes over a ring.</summary>
    public const int MaxPasses = 6;

    /// <summary>
    /// As it is done at the bench: the fewest passes that keep every limit; where none do, or only with more passes
    /// than anybody makes, even passes of a hand's turn, and the limit that they do not keep.
    /// </summary>
    public static TighteningResult InPasses(StackUp stack, double tiltLimitDeg, bool byTwo, CancellationToken cancel)
    {
        var fewest = Passes(stack, tiltLimitDeg: tiltLimitDeg, byTwo: byTwo, cancel: cancel);
        if (fewest.PassCount <= MaxPasses)
            return fewest;
        var whole = Plates(stack, null).Max(p => p.TurnsFromGrip);
        var even = PassSearch.Amounts.Last(a => Math.Ceiling(whole / a - EvenTurns) <= MaxPasses);
        List<double> amounts = [.. Enumerable.Repeat(even, (int)Math.Ceiling(whole / even - EvenTurns))];
        return Passes(stack, amounts, tiltLimitDeg: tiltLimitDeg, byTwo: byTwo, cancel: cancel) with
        {
            Broken = fewest.Broken ?? "tilt",
            Fewest = true,
        };
    }

    /// <summary>Less than this is no turn.</summary>
    private const double EvenTurns = 1e-9;

    private static List<double> Smallest(double turns)
    {
        var step = PassSearch.Amounts[^1];
        return [.. Enumerable.Repeat(step, Math.Min(MaxMoves, (int)Math.Ceiling(turns / step - EvenTurns)))];
    }

    /// <summary>Moves of one's own, from screws just started.</summary>
    /// <param name="turns">Screw and turns of each move; more than is left goes home.</param>
    /// <exception cref="InputException">A screw is not of this block.</exception>
    public static PracticeResult Practise(
        StackUp stack,
        IReadOnlyList<(string Hole, double Turns)> turns,
        double tiltLimitDeg = DefaultTiltLimitDeg,
        CancellationToken cancel = default
    )
    {
        var cross = Simulate(stack, tiltLimitDeg: tiltLimitDeg, cancel: cancel);
        var plates = Plates(stack, null);
        var corner = plates.SelectMany(p => CornerFirst(p, cancel)).ToList();
        plates.ForEach(p => p.Loosen());
        var moves = new List<TighteningMove>();
        for (var i = 0; i < turns.Count; i++)
        {
            cancel.ThrowIfCancellationRequested();
            var plate = plates.Find(p => p.Order.Any(h => h.Id == turns[i].Hole));
            if (plate is null)
                throw new InputException($"moves/{i}/hole", TighteningWords.IsNotScrewOfThisBlock(turns[i].Hole));
            moves.Add(plate.Turn(plate.Order.First(h => h.Id == turns[i].Hole), 1, turns[i].Turns));
        }
        double Score(IReadOnlyList<TighteningMove> m) =>
            PracticeScore.Score(WorstOf(m), m.Count, cross.Worst, cross.Moves.Count, tiltLimitDeg, cross.PeakLimitMPa);
        var home = plates.TrueForAll(p => !p.Open.Any());
        return new(
            moves,
            [.. plates.SelectMany(p => p.Order.Select(h => new ScrewLeft(h.Id, p.TurnsLeft(h))))],
            home,
            WorstOf(moves),
            home ? Score(moves) : null,
            Score(cross.Moves),
            Score(corner),
            cross.Worst,
            WorstOf(corner),
            cross.Moves.Count,
            tiltLimitDeg,
            cross.PeakLimitMPa
        )
        {
            PressesDie = cross.PressesDie,
        };
    }

    /// <summary>The block's own plates; a back plate goes on afterwards.</summary>
    private static List<TurningPlate> Plates(StackUp stack, IReadOnlyList<string>? order, bool byTwo = false)
    {
        var own = stack.Block.Plates.Select(p => p.Id).ToHashSet();
        var models = PlateModel.For(stack).Where(m => own.Contains(m.Plate.Id)).ToList();
        var screws = models.Sum(m => m.Plate.Holes.Count);
        if (screws > MaxScrews)
            throw new InputException("block/plates", TighteningWords.ScrewsTurningOfAtMost(screws, MaxScrews));
        if (UnknownSprings.Describe(models.SelectMany(m => m.Plate.Holes)) is { } unknown)
            throw new InputException("block/plates", TighteningWords.HowFarToTurnAtTime(unknown));
        var ordered = Ordered([.. models.SelectMany(m => m.Plate.Holes)], order);
        return models.ConvertAll(m => new TurningPlate(
            m,
            stack.Paste,
            ordered is null
                ? ScrewOrder.Compute(m.Plate.Holes)
                : [.. ordered.Where(h => m.Plate.Holes.Any(x => x.Id == h.Id))]
        )
        {
            ByTwo = byTwo,
        });
    }

    private static List<BlockHole>? Ordered(List<BlockHole> holes, IReadOnlyList<string>? order)
    {
        if (order is null)
            return null;
        var named = order.Select(id => holes.Find(h => h.Id == id)).ToList();
        var unknown = named.FindIndex(h => h is null);
        if (unknown >= 0)
            throw new InputException($"order/{unknown}", TighteningWords.IsNotScrewOfThisBlock(order[unknown]));
        if (order.Distinct().Count() != holes.Count || order.Count != holes.Count)
            throw new InputException("order", TighteningWords.NameEachOfScrewsOnce(holes.Count));
        return named!;
    }

    /// <summary>
    /// The largest even step of one plate that stays in bounds, and the least, which may not, when no other does.
    /// </summary>
    private static (double Turns, bool Keeps) Recommended(
        TurningPlate plate,
        double tiltLimitDeg,
        CancellationToken cancel
    )
    {
        bool InBounds(TighteningMove m) =>
            m.TiltDeg <= tiltLimitDeg && !(plate.PeakLimitMPa is { } limit && m.PeakMPa > limit);
        // the first move out of bounds settles a step
        foreach (var step in Steps)
            if (Turned(plate, step, cancel).All(InBounds))
                return (step, true);
        return (Steps[^1], false);
    }

    private static Worst WorstOf(IReadOnlyList<TighteningMove> moves) =>
        moves.Count == 0 ? new(0, 0) : new(moves.Max(m => m.TiltDeg), moves.Max(m => m.PeakMPa));

    private static List<TighteningMove> Run(TurningPlate plate, double turnsPerMove, CancellationToken cancel) =>
        [.. Turned(plate, turnsPerMove, cancel)];

    private static IEnumerable<TighteningMove> Turned(TurningPlate plate, double turnsPerMove, CancellationToken cancel)
    {
        plate.Loosen();
        for (var pass = 1; plate.Open.ToList() is { Count: > 0 } open; pass++)
        {
            foreach (var move in plate.Turn(open, pass, turnsPerMove))
            {
                cancel.ThrowIfCancellationRequested();
                yield return move;
            }
        }
    }

    private static List<TighteningMove> CornerFirst(TurningPlate plate, CancellationToken cancel)
    {
        plate.Loosen();
        var moves = new List<TighteningMove>();
        foreach (var hole in plate.Open.ToList())
        {
            cancel.ThrowIfCancellationRequested();
            moves.Add(plate.Turn(hole, 1, double.PositiveInfinity));
        }
        return moves;
    }
}
