using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Words.Blocks.Depths;
using MathNet.Numerics.LinearAlgebra;

namespace FaithfulBracket.Core.Blocks.Depths;

/// <summary>A land's step against the die land as all its sources tell it. mm.</summary>
/// <param name="SigmaMm">One standard deviation.</param>
/// <param name="From">Kinds of its sources, in the order of the readings.</param>
/// <param name="Conflict">Places in the list of readings of the two that disagree most; null where none do.</param>
public sealed record StepDepth(
    string Land,
    double StepMm,
    double SigmaMm,
    IReadOnlyList<DepthKind> From,
    IReadOnlyList<int>? Conflict
)
{
    /// <summary>As documents state it: three standard deviations, mm.</summary>
    public double StepTolMm => 3 * SigmaMm;

    /// <summary>How the step is known by these sources.</summary>
    public FigureGrade Evidence => From.All(k => k == DepthKind.Manual) ? FigureGrade.Manual : FigureGrade.Measured;
}

/// <summary>Steps of a block's lands from gauge readings, impressions and a manual's pads.</summary>
public static class StepDepths
{
    public const int MaxReadings = 2_000,
        MaxOfOneLand = 50;

    /// <summary>Two sources further apart than this many σ of their difference disagree.</summary>
    private const double ConflictSigmas = 3;

    /// <summary>Readings are no more exact than this, mm².</summary>
    private const double MinVariance = 1e-10;

    public static readonly string InWords = StepDepthsWords.LimitsReadingsOfOneLandBody(MaxReadings, MaxOfOneLand);

    /// <summary>
    /// Generalised least squares per land (Aitken 1935): die, film and the height of the land's part are errors that
    /// its impressions and manuals share, and drop out of the difference of two of them.
    /// </summary>
    public static IReadOnlyList<StepDepth> Compute(DepthFrame frame, IReadOnlyList<DepthReading> readings) =>
        [
            .. readings
                .Select((reading, index) => (reading, index))
                .GroupBy(r => r.reading.Land, StringComparer.Ordinal)
                .Select(g => Land(frame, g.Key, [.. g])),
        ];

    private static StepDepth Land(DepthFrame frame, string land, List<(DepthReading Reading, int Index)> sources)
    {
        var n = sources.Count;
        var errors = Matrix<double>.Build.Dense(
            n,
            n,
            (i, j) => Shared(frame, sources[i].Reading, sources[j].Reading) + (i == j ? Own(sources[i].Reading) : 0)
        );
        var weights = errors.Cholesky().Solve(Vector<double>.Build.Dense(n, 1));
        var steps = Vector<double>.Build.Dense(n, i => sources[i].Reading.StepMm);
        var information = weights.Sum();
        return new(
            land,
            weights.DotProduct(steps) / information,
            Math.Sqrt(1 / information),
            [.. sources.Select(s => s.Reading.Kind).Distinct()],
            Conflict(errors, steps) is var (a, b) ? [sources[a].Index, sources[b].Index] : null
        );
    }

    private static double Own(DepthReading r) => Math.Max(MinVariance, r.OwnVariance);

    private static double Shared(DepthFrame frame, DepthReading a, DepthReading b) =>
        a.PartSigmaMm is { } pa && b.PartSigmaMm is { } pb ? frame.Variance + pa * pb : 0;

    private static (int A, int B)? Conflict(Matrix<double> errors, Vector<double> steps)
    {
        (int, int)? worst = null;
        var most = ConflictSigmas;
        for (var i = 0; i < steps.Count; i++)
        for (var j = i + 1; j < steps.Count; j++)
        {
            var sigma = Math.Sqrt(errors[i, i] + errors[j, j] - 2 * errors[i, j]);
            if (Math.Abs(steps[i] - steps[j]) / sigma is var apart && apart > most)
                (worst, most) = ((i, j), apart);
        }
        return worst;
    }
}
