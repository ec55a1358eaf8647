using FaithfulBracket.Core.Blocks;

namespace FaithfulBracket.Core.Mount;

/// <summary>What a screw may do to a block on its way home.</summary>
/// <param name="TiltDeg">Largest tilt about either axis, degrees.</param>
public sealed record TighteningLimits(double TiltDeg = Tightening.DefaultTiltLimitDeg);

/// <summary>One pass over a ring: every screw once, the same share of its way.</summary>
/// <param name="Turns">Of the screws with most turns to go; the others move in proportion.</param>
public sealed record TighteningPass(double Turns, IReadOnlyList<TighteningMove> Moves);

/// <summary>
/// The fewest passes from just gripping to home. Between passes all screws of a plate stand equally deep, so the state
/// is the depth and the amount of the last pass; amounts are what a hand can do and never grow. The shortest chain is
/// found by iterative deepening; each pass is simulated once for each depth it is tried from.
/// </summary>
internal sealed class PassSearch(TurningPlate plate, TighteningLimits limits, CancellationToken cancel)
{
    /// <summary>Turns of a hand, the largest first.</summary>
    public static readonly IReadOnlyList<double> Amounts = [2, 1.5, 1, 0.75, 0.5, 0.25, 0.125, 0.0625];

    private const double Smallest = 0.0625,
        LargestLast = 2,
        Even = 1e-9;

    /// <summary>Moves simulated before the search gives up.</summary>
    private const int MaxMoves = 20_000;

    private readonly Dictionary<(long Depth, double Amount), bool> _keeps = [];
    private readonly HashSet<(long Depth, double Amount, int Passes)> _fails = [];
    private int _moves;

    /// <summary>Which limit a move went past first; null while none did.</summary>
    public string? Broken { get; private set; }

    /// <summary>The chain of amounts that keeps every limit; null where there is none.</summary>
    public IReadOnlyList<double>? Find()
    {
        var whole = plate.TurnsFromGrip;
        if (whole <= Even)
            return [];
        // the resting state counts too
        if (!Keeps(plate.AtRest()))
            return null;
        var most = (int)Math.Ceiling(whole / Smallest);
        for (var passes = (int)Math.Ceiling(whole / LargestLast); passes <= most && _moves < MaxMoves; passes++)
        {
            var chain = new List<double>();
            if (Reaches(0, LargestLast, passes, chain))
                return chain;
        }
        return null;
    }

    /// <summary>Whether so many passes of at most this amount lead from a depth to home.</summary>
    private bool Reaches(double depth, double largest, int passes, List<double> chain)
    {
        cancel.ThrowIfCancellationRequested();
        var left = plate.TurnsFromGrip - depth;
        if (passes == 1)
        {
            if (left > Math.Min(largest, LargestLast) + Even || !Keeps(depth, left))
                return false;
            chain.Add(left);
            return true;
        }
        if (left > passes * largest + Even || !_fails.Add((Key(depth), largest, passes)) || _moves >= MaxMoves)
            return false;
        foreach (var amount in Amounts)
        {
            // what is left after it has to be turned by the passes that follow, none larger
            if (amount > largest + Even || amount >= left - Even || left - amount > (passes - 1) * amount + Even)
                continue;
            if (!Keeps(depth, amount))
                continue;
            chain.Add(amount);
            if (Reaches(depth + amount, amount, passes - 1, chain))
                return true;
            chain.RemoveAt(chain.Count - 1);
        }
        return false;
    }

    private static long Key(double depth) => (long)Math.Round(depth * 1e6);

    private bool Keeps(double depth, double amount)
    {
        var key = (Key(depth), Math.Round(amount, 6));
        if (_keeps.TryGetValue(key, out var known))
            return known;
        var keeps = true;
        foreach (var move in plate.Pass(depth, amount, 0))
        {
            _moves++;
            if (keeps = Keeps(move))
                continue;
            break;
        }
        return _keeps[key] = keeps;
    }

    private bool Keeps(TighteningMove move) => Keeps(plate.BrokenBy(move, limits));

    private bool Keeps(string? broken)
    {
        Broken ??= broken;
        return broken is null;
    }

    private bool Keeps(PlateState state) => Keeps(plate.BrokenBy(state, limits));
}

/// <summary>A plate at rest: its tilt, and what each part under paste carries.</summary>
internal sealed record PlateState(double TiltDeg, IReadOnlyList<Pads.Seating.DieContact> Dies);
