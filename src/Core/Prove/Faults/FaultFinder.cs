using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Words.Prove.Faults;
using MathNet.Numerics.Distributions;

namespace FaithfulBracket.Core.Prove.Faults;

/// <summary>
/// Ranks what can be wrong by its posterior: prior times the likelihood of all readings (<see cref="SensorLikelihood"/>), its size
/// averaged over the stated range. One thing is taken to be wrong at a time; where none explains what was read, that is said.
/// </summary>
public static class FaultFinder
{
    public const int MaxReadings = 200;
    public static string InWords => FaultFinderWords.LimitsBodyOfMiBReadings;

    private const int Sizes = 24;

    /// <summary>Readings further from the best line than one in so many benches would show are not explained by it.</summary>
    private const double Explained = 0.999;

    /// <param name="pads">Null takes what the block's maker supplies.</param>
    /// <exception cref="InputException">Readings of parts that the block does not cover; see <see cref="Expect"/>.</exception>
    public static FaultResult Find(
        LaidBlock laid,
        IReadOnlyList<LaidPad>? pads,
        IReadOnlyDictionary<string, PadMaterial> materials,
        PasteMaterial paste,
        HeatConditions at,
        IReadOnlyList<SensorReading> readings,
        IReadOnlyList<FaultPrior>? priors = null,
        IReadOnlyList<ImprintLook>? looks = null,
        CancellationToken cancel = default
    )
    {
        return Find(FaultBench.Create(laid, pads, materials, paste, at, cancel), readings, priors, looks, cancel);
    }

    /// <summary>The same on a bench that is calculated already.</summary>
    /// <param name="looks">What parts showed when they were looked at.</param>
    /// <exception cref="InputException">Readings or looks of parts that the block does not cover.</exception>
    public static FaultResult Find(
        FaultBench bench,
        IReadOnlyList<SensorReading> readings,
        IReadOnlyList<FaultPrior>? priors = null,
        IReadOnlyList<ImprintLook>? looks = null,
        CancellationToken cancel = default
    )
    {
        var sensors = FaultSensor.From(bench, readings);
        var seen = Looks(bench, looks ?? []);
        var errors = SensorLikelihood.Create(sensors);
        SensorFit Fit(FaultPlace place, double size)
        {
            var heat = new PartHeat[errors.Parts.Count];
            for (var i = 0; i < heat.Length; i++)
                heat[i] = place.Heat(bench, errors.Parts[i], size);
            return errors.Create(heat);
        }
        // a sensor that is read wrong warms nothing: all of them are told against the one state
        var sound = Fit(FaultPlace.None, 0);
        var found = new List<Weighed>();
        foreach (var prior in priors ?? FaultPriors.Default)
        {
            var places = FaultPlace.Find(bench, sensors, seen, prior.Kind);
            foreach (var place in places)
            {
                cancel.ThrowIfCancellationRequested();
                var odds = seen.Sum(l => Math.Log(ImprintOdds.Chance(prior.Kind, place.At == l.Part, l.Mark)));
                found.Add(
                    Weigh(
                        prior,
                        place,
                        Math.Log(prior.Prior / places.Count) + odds,
                        size => place.Sensor is { } off ? sound.Weigh(off, place.OffK(size)) : Fit(place, size).Weigh()
                    )
                );
            }
        }
        var top = found.Max(f => f.Log);
        var total = found.Sum(f => Math.Exp(f.Log - top));
        double Chance(Weighed f) => Math.Exp(f.Log - top) / total;
        var grouped = found
            .GroupBy(f => f.Place.Group)
            .Select(g => Hypothesis(bench, sensors, [.. g], g.Sum(Chance)))
            .OrderByDescending(h => h.Probability)
            .ToList();
        return new(
            [.. sensors.Select(s => new SensorExpected(s.Reading.Parts, s.Expected(bench)))],
            grouped,
            FaultChecks.Between(grouped)
        )
        {
            NextReading = NextReading.Best(
                bench,
                sensors,
                [.. found.Select(f => new NextReading.Suspicion(f.Place, Chance(f), f.Sizes))],
                cancel
            ),
            Unexplained =
                found.MaxBy(f => f.Log)!.Chi2 > ChiSquared.InvCDF(sensors.Count, Explained)
                    ? FaultFinderWords.NoSingleLineExplains
                    : null,
        };
    }

    /// <summary>The last look at each part.</summary>
    private static IReadOnlyList<ImprintLook> Looks(FaultBench bench, IReadOnlyList<ImprintLook> looks)
    {
        var faults = new List<InputFault>();
        for (var i = 0; i < looks.Count; i++)
            if (bench.Parts.FirstOrDefault(p => p.Id == looks[i].Part) is not { } part)
                faults.Add(new($"looks/{i}/part", FaultFinderWords.BlockCoversNoSuchPart(looks[i].Part)));
            else if (!ImprintOdds.For(part.IsDie).Contains(looks[i].Mark))
                faults.Add(new($"looks/{i}/mark", FaultFinderWords.CanNotShow(looks[i].Part)));
        return faults.Count > 0
            ? throw new InputException(faults)
            : [.. looks.GroupBy(l => l.Part).Select(g => g.Last())];
    }

    /// <summary>A suspicion at one place: its log weight, its likeliest size, its sizes with their chances.</summary>
    /// <param name="Chi2">Of the readings, at the size that explains them best.</param>
    private sealed record Weighed(
        FaultPrior Prior,
        FaultPlace Place,
        double Log,
        double Size,
        double Chi2,
        IReadOnlyList<(double Size, double Chance)> Sizes
    );

    private static Weighed Weigh(
        FaultPrior prior,
        FaultPlace place,
        double logPrior,
        Func<double, (double Log, double Chi2)> of
    )
    {
        var steps = prior.Most > prior.Least ? Sizes : 1;
        var told = new (double Log, double Chi2)[steps];
        var sizes = new (double Size, double Chance)[steps];
        for (var i = 0; i < steps; i++)
        {
            sizes[i].Size = prior.Least + (prior.Most - prior.Least) * (steps == 1 ? 0 : (i + 0.5) / steps);
            told[i] = of(sizes[i].Size);
        }
        var top = told.Max(t => t.Log);
        var sum = told.Sum(t => Math.Exp(t.Log - top));
        for (var i = 0; i < steps; i++)
            sizes[i].Chance = Math.Exp(told[i].Log - top) / sum;
        return new(
            prior,
            place,
            logPrior + top + Math.Log(sum / steps),
            sizes.Sum(s => s.Size * s.Chance),
            told.Min(t => t.Chi2),
            sizes
        );
    }

    private static FaultHypothesis Hypothesis(
        FaultBench bench,
        IReadOnlyList<FaultSensor> sensors,
        List<Weighed> group,
        double probability
    )
    {
        var best = group.MaxBy(g => g.Log)!;
        var (kind, place) = (best.Prior.Kind, best.Place);
        List<string> parts = place.Sensor is { } index
            ? [.. sensors.First(s => s.Index == index).Reading.Parts]
            : [.. group.Select(g => g.Place.At).OfType<string>().Distinct()];
        var corner = kind == FaultKind.Tilt ? FaultPlace.Corners[place.Corner] : null;
        return new(
            kind,
            parts,
            corner,
            kind is FaultKind.None or FaultKind.PadMissing ? 0 : Math.Round(place.Sign * best.Size, 3),
            best.Prior.Unit,
            probability,
            [
                .. sensors.Select(s => new SensorEffect(
                    s.Reading.Parts,
                    Math.Round(s.With(bench, place, best.Size) - s.Expected(bench), 2)
                )),
            ],
            FaultChecks.Describe(kind, parts, corner)
        );
    }
}
