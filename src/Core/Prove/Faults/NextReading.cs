using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Words.Prove.Faults;
using MathNet.Numerics.LinearAlgebra;
using MathNet.Numerics.LinearAlgebra.Factorization;

namespace FaithfulBracket.Core.Prove.Faults;

/// <summary>What is read.</summary>
public enum NextReadingOf
{
    Parts,
    Flow,
    Power,
}

/// <summary>The one further reading that would tell most of what is wrong.</summary>
/// <param name="Parts">Each of them on its own; none for flow and power.</param>
/// <param name="SureNow">Chance of what is likeliest now.</param>
/// <param name="SureThen">What that chance will be on average once it is read.</param>
public sealed record NextReading(
    NextReadingOf Of,
    IReadOnlyList<string> Parts,
    double SureNow,
    double SureThen,
    Message Text
)
{
    /// <summary>Sure enough: nothing more is asked for.</summary>
    private const double Enough = 0.9;

    /// <summary>A reading that makes it less surer than this is not worth its trouble.</summary>
    private const double MinGain = 0.05;

    /// <summary>A probe or a thermal camera, K; a flow meter and a power meter, as shares.</summary>
    private const double ProbeK = 1,
        Meter = 0.05;

    /// <summary>Less likely than this a suspicion does not change which reading is best.</summary>
    private const double MinChance = 1e-3;

    private const int Draws = 200,
        MaxReadings = 6,
        MaxParts = 12;

    /// <summary>A suspicion at its place, its chance, and its sizes with theirs.</summary>
    internal sealed record Suspicion(
        FaultPlace Place,
        double Chance,
        IReadOnlyList<(double Size, double Chance)> Sizes
    );

    internal static NextReading? Best(
        FaultBench bench,
        IReadOnlyList<FaultSensor> sensors,
        IReadOnlyList<Suspicion> all,
        CancellationToken cancel
    )
    {
        var now = all.GroupBy(s => s.Place.Group).Max(g => g.Sum(s => s.Chance));
        if (now >= Enough)
            return null;
        List<Suspicion> open = [.. all.Where(s => s.Chance >= MinChance)];
        IEnumerable<(NextReadingOf Of, IReadOnlyList<FaultPart> Parts)> could =
        [
            (NextReadingOf.Flow, []),
            (NextReadingOf.Power, []),
            .. sensors
                .OrderByDescending(s => Math.Abs(s.Reading.C - s.Expected(bench)) / s.Reading.SigmaK)
                .Select(s => s.Parts.Where(p => p.Watts > 0).ToList())
                .Where(p => p.Count is > 0 and <= MaxParts)
                .DistinctBy(p => string.Join(",", p.Select(x => x.Id)))
                .Take(MaxReadings)
                .Select(p => (NextReadingOf.Parts, (IReadOnlyList<FaultPart>)p)),
        ];
        var told = could
            .Select(c => (c.Of, c.Parts, Then: Sure(bench, sensors, open, c.Of, c.Parts, cancel)))
            .MaxBy(c => c.Then);
        return told.Then - now < MinGain
            ? null
            : new(
                told.Of,
                [.. told.Parts.Select(p => p.Id)],
                now,
                told.Then,
                Words(told.Of, told.Parts, now, told.Then)
            );
    }

    private static Message Words(NextReadingOf of, IReadOnlyList<FaultPart> parts, double now, double then)
    {
        var what = of switch
        {
            NextReadingOf.Flow => NextReadingWords.FlowAtMeter,
            NextReadingOf.Power => NextReadingWords.PowerAtPlugOrCable,
            _ when parts.Count == 1 => $"{parts[0].Id} with a second sensor",
            _ => NextReadingWords.ToOneByOneByProbe(parts[0].Id, parts[^1].Id),
        };
        return NextReadingWords.ToBeSurerRead(what, Math.Round(then * 20) * 5, now * 100);
    }

    /// <summary>How sure one is on average of what is likeliest once it is read: drawn from what is thought now, always the same.</summary>
    private static double Sure(
        FaultBench bench,
        IReadOnlyList<FaultSensor> sensors,
        List<Suspicion> open,
        NextReadingOf of,
        IReadOnlyList<FaultPart> parts,
        CancellationToken cancel
    )
    {
        var shown =
            of == NextReadingOf.Parts ? Read(bench, sensors, open, parts) : open.ConvertAll(s => Metered(s, of));
        // a part that is read on its own is told apart from its neighbours
        var groups = open.ConvertAll(s =>
            s.Place.At is { } at && parts.Any(p => p.Id == at) ? $"{s.Place.Group}/{at}" : s.Place.Group
        );
        var index = groups.Distinct().Select((g, i) => (g, i)).ToDictionary(x => x.g, x => x.i);
        var group = groups.ConvertAll(g => index[g]);
        var total = open.Sum(s => s.Chance);
        var draws = new NormalDraws(1);
        var logs = new double[open.Count];
        var chances = new double[index.Count];
        var sure = 0.0;
        for (var k = 0; k < Draws; k++)
        {
            cancel.ThrowIfCancellationRequested();
            // evenly through all suspicions, so that few draws do
            var at = (k + draws.Uniform()) / Draws * total;
            var drawn = 0;
            while (drawn < open.Count - 1 && (at -= open[drawn].Chance) > 0)
                drawn++;
            var x = shown[drawn].Draw(draws);
            for (var s = 0; s < open.Count; s++)
                logs[s] = Math.Log(open[s].Chance) + shown[s].Log(x);
            var top = logs.Max();
            Array.Clear(chances);
            for (var s = 0; s < open.Count; s++)
                chances[group[s]] += Math.Exp(logs[s] - top);
            sure += chances.Max() / chances.Sum();
        }
        return Math.Min(1, sure / Draws);
    }

    /// <summary>Each part on its own, under each suspicion and after what was read already.</summary>
    private static List<Shown> Read(
        FaultBench bench,
        IReadOnlyList<FaultSensor> sensors,
        List<Suspicion> open,
        IReadOnlyList<FaultPart> parts
    )
    {
        List<FaultSensor> all =
        [
            .. sensors,
            .. parts.Select(p => new FaultSensor(new([p.Id], SensorKind.Mean, 0, ProbeK), [p], -1)),
        ];
        var errors = SensorLikelihood.Create(all);
        return open.ConvertAll(s =>
        {
            PartHeat[] Heat(double size) => [.. errors.Parts.Select(p => s.Place.Heat(bench, p, size))];
            var mean = s.Sizes.Sum(x => x.Chance * x.Size);
            var (at, covariance) = errors.Next(Heat(mean), sensors.Count, s.Place.Sensor ?? -1, s.Place.OffK(mean));
            // how large it is stays open, too
            foreach (var (size, chance) in s.Sizes.Where(x => x.Chance > MinChance))
            {
                var apart = Vector<double>.Build.DenseOfEnumerable(
                    parts.Select(p => s.Place.Heat(bench, p, size).C - s.Place.Heat(bench, p, mean).C)
                );
                covariance += chance * apart.OuterProduct(apart);
            }
            return new Shown(at, covariance.Cholesky());
        });
    }

    /// <summary>Flow or power as a share of what is believed.</summary>
    private static Shown Metered(Suspicion s, NextReadingOf of)
    {
        double Value(double size) =>
            of == NextReadingOf.Power ? s.Place.PowerShare(size)
            : s.Place.Kind == FaultKind.LowFlow ? size
            : 1;
        var mean = s.Sizes.Sum(x => x.Chance * Value(x.Size));
        var variance = Meter * Meter + s.Sizes.Sum(x => x.Chance * Math.Pow(Value(x.Size) - mean, 2));
        return new(Vector<double>.Build.Dense(1, mean), Matrix<double>.Build.Dense(1, 1, variance).Cholesky());
    }

    /// <summary>What a reading would show under one suspicion.</summary>
    private sealed record Shown(Vector<double> Mean, Cholesky<double> Spread)
    {
        private readonly double _half = Spread.DeterminantLn / 2;

        public Vector<double> Draw(NormalDraws draws) =>
            Mean
            + Spread.Factor
                * Vector<double>.Build.DenseOfEnumerable(Enumerable.Range(0, Mean.Count).Select(_ => draws.Next()));

        public double Log(Vector<double> x)
        {
            var r = x - Mean;
            return -0.5 * r.DotProduct(Spread.Solve(r)) - _half;
        }
    }
}
