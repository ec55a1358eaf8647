using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads.Seating;

namespace FaithfulBracket.Core.Prove.Faults;

/// <summary>Whether a sensor shows the mean of its parts or the hottest of them.</summary>
public enum SensorKind
{
    Mean,
    Max,
}

/// <summary>What one sensor showed.</summary>
/// <param name="Parts">The parts it is said to read.</param>
/// <param name="SigmaK">One standard deviation of the reading.</param>
public sealed record SensorReading(IReadOnlyList<string> Parts, SensorKind Kind, double C, double SigmaK);

public sealed record SensorExpected(IReadOnlyList<string> Parts, double C);

/// <summary>What a fault adds at one sensor.</summary>
public sealed record SensorEffect(IReadOnlyList<string> Parts, double K);

/// <param name="Parts">Where it sits; several where no sensor tells them apart, none where it concerns the whole.</param>
/// <param name="Corner">Which corner of the block stands high, as seen from the front; null where none is meant.</param>
/// <param name="Size">Likeliest, in <paramref name="Unit"/>.</param>
/// <param name="Check">The one look or reading that settles it.</param>
public sealed record FaultHypothesis(
    FaultKind Kind,
    IReadOnlyList<string> Parts,
    string? Corner,
    double Size,
    string Unit,
    double Probability,
    IReadOnlyList<SensorEffect> EffectK,
    string Check
)
{
    /// <summary>What it is, in the words of the bench.</summary>
    public string Name => FaultChecks.Name(Kind);
}

/// <param name="BestCheck">What tells the first two apart best.</param>
public sealed record FaultResult(
    IReadOnlyList<SensorExpected> Expected,
    IReadOnlyList<FaultHypothesis> Hypotheses,
    string BestCheck
)
{
    /// <summary>Whether a lift is worth it; null where no job is asked about.</summary>
    public LiftAdvice? Lift { get; init; }

    /// <summary>Likelier than not: it stands in the headline.</summary>
    private const double LeastDoubt = 0.5;

    /// <summary>Whether the first suspicion is likelier than not, and is one.</summary>
    public bool Doubt => Hypotheses is [{ Kind: not FaultKind.None, Probability: >= LeastDoubt }, ..];

    /// <summary>Less likely than this is not worth a line; nor is a sixth.</summary>
    private const double LeastWorth = 0.03;
    private const int MostWorth = 5;

    /// <summary>How many of the first are worth telling.</summary>
    public int WorthTelling =>
        Hypotheses.Take(MostWorth).TakeWhile((h, i) => i == 0 || h.Probability >= LeastWorth).Count();
}

/// <summary>
/// Ranks what can be wrong by its posterior: prior times the likelihood of all readings, its size averaged over the
/// stated range. The model's
/// own error (a share of each part's own way and of its land's rise, half of the latter common to all parts) widens every sensor's.
/// </summary>
public static class FaultFinder
{
    public const int MostReadings = 200;
    public const string InWords = "Limits: a body of 4 MiB, 200 readings, and those of the board and block documents.";

    private const int Sizes = 24;

    private static readonly string[] Corners = ["lower left", "lower right", "upper right", "upper left"];

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
        return Find(FaultBench.Of(laid, pads, materials, paste, at, cancel), readings, priors, looks, cancel);
    }

    /// <summary>The same on a bench that is reckoned already.</summary>
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
        var sensors = Sensors(bench, readings);
        var seen = Looks(bench, looks ?? []);
        var found = new List<Weighed>();
        foreach (var prior in priors ?? FaultPriors.Default)
        {
            var places = Places(bench, sensors, seen, prior.Kind);
            foreach (var place in places)
            {
                var weighed = Weigh(bench, sensors, prior, prior.Prior / places.Count, place);
                var odds = seen.Sum(l => Math.Log(ImprintOdds.Of(prior.Kind, place.At == l.Part, l.Mark)));
                found.Add(weighed with { Log = weighed.Log + odds });
            }
        }
        cancel.ThrowIfCancellationRequested();
        var top = found.Max(f => f.Log);
        var total = found.Sum(f => Math.Exp(f.Log - top));
        var grouped = found
            .GroupBy(f => f.Place.Group)
            .Select(g => Told(bench, sensors, [.. g], g.Sum(f => Math.Exp(f.Log - top)) / total))
            .OrderByDescending(h => h.Probability)
            .ToList();
        return new(
            [.. sensors.Select(s => new SensorExpected(s.Reading.Parts, s.Expected(bench).C))],
            grouped,
            FaultChecks.Between(grouped)
        );
    }

    /// <summary>A reading with the covered parts it is of.</summary>
    private sealed record Sensor(SensorReading Reading, IReadOnlyList<FaultPart> Parts, int Index)
    {
        public (double C, double LandK, double OwnK) Expected(FaultBench bench) =>
            Of(bench, FaultKind.None, null, 0, 0);

        public (double C, double LandK, double OwnK) Of(
            FaultBench bench,
            FaultKind kind,
            string? at,
            int corner,
            double size
        )
        {
            double c = double.NegativeInfinity,
                land = 0,
                own = 0,
                sum = 0;
            foreach (var p in Parts)
            {
                var (t, l, o) = bench.With(p, kind, at, corner, size);
                if (Reading.Kind == SensorKind.Mean)
                {
                    sum += t / Parts.Count;
                    land += l / Parts.Count;
                    own += o / Parts.Count / Math.Sqrt(Parts.Count);
                }
                else if (t > c)
                    (c, land, own) = (t, l, o);
            }
            return (Reading.Kind == SensorKind.Mean ? sum : c, land, own);
        }
    }

    private static List<Sensor> Sensors(FaultBench bench, IReadOnlyList<SensorReading> readings)
    {
        var faults = new List<InputFault>();
        var known = bench.Parts.ToDictionary(p => p.Id);
        var sensors = new List<Sensor>();
        for (var i = 0; i < readings.Count; i++)
        {
            var parts = readings[i].Parts.Where(known.ContainsKey).Select(p => known[p]).ToList();
            if (parts.Count == 0)
                faults.Add(
                    new(
                        $"readings/{i}/parts",
                        $"{string.Join(", ", readings[i].Parts)}: the block covers none of these, nothing is expected there."
                    )
                );
            else
                sensors.Add(new(readings[i], parts, i));
        }
        return faults.Count > 0 ? throw new InputException(faults) : sensors;
    }

    /// <summary>The last look at each part.</summary>
    private static IReadOnlyList<ImprintLook> Looks(FaultBench bench, IReadOnlyList<ImprintLook> looks)
    {
        var faults = new List<InputFault>();
        for (var i = 0; i < looks.Count; i++)
            if (bench.Parts.FirstOrDefault(p => p.Id == looks[i].Part) is not { } part)
                faults.Add(new($"looks/{i}/part", $"{looks[i].Part}: the block covers no such part."));
            else if (!ImprintOdds.For(part.IsDie).Contains(looks[i].Mark))
                faults.Add(new($"looks/{i}/mark", $"{looks[i].Part} can not show that."));
        return faults.Count > 0
            ? throw new InputException(faults)
            : [.. looks.GroupBy(l => l.Part).Select(g => g.Last())];
    }

    /// <summary>Where a fault can sit. What no sensor tells apart is one group.</summary>
    private sealed record Place(string Group, string? At, int Corner, int? Sensor, double Sign);

    private static List<Place> Places(
        FaultBench bench,
        List<Sensor> sensors,
        IReadOnlyList<ImprintLook> seen,
        FaultKind kind
    )
    {
        string Seen(FaultPart p) => string.Join(",", sensors.Where(s => s.Parts.Contains(p)).Select(s => s.Index));
        // a part that nobody reads and nobody looked at is left out; a look tells parts apart that a sensor does not
        bool Looked(FaultPart p) => seen.Any(l => l.Part == p.Id);
        List<Place> At(Func<FaultPart, bool> which) =>
            [
                .. bench
                    .Parts.Where(p => which(p) && (Seen(p).Length > 0 || Looked(p)))
                    .Select(p => new Place($"{kind}@{Seen(p)}{(Looked(p) ? $"/{p.Id}" : "")}", p.Id, 0, null, 1)),
            ];
        return kind switch
        {
            FaultKind.FilmLeft or FaultKind.PadMissing or FaultKind.PadThin => At(p => !p.IsDie && p.Watts > 0),
            FaultKind.PasteVoid or FaultKind.PumpOut => At(p => p.IsDie),
            FaultKind.Tilt =>
            [
                .. Enumerable.Range(0, Corners.Length).Select(c => new Place($"{kind}@{c}", null, c, null, 1)),
            ],
            // each sensor may show too much or too little; a power misread moves all alike
            FaultKind.Misread =>
            [
                .. sensors.SelectMany(s =>
                    new[] { 1.0, -1 }.Select(sign => new Place($"{kind}@{s.Index}", null, 0, s.Index, sign))
                ),
                new($"{kind}@power", null, 0, null, 1),
                new($"{kind}@power", null, 0, null, -1),
            ],
            _ => [new($"{kind}", null, 0, null, 1)],
        };
    }

    /// <summary>A hypothesis at one place: its log weight, and its likeliest size.</summary>
    private sealed record Weighed(FaultPrior Prior, Place Place, double Log, double Size);

    private static Weighed Weigh(FaultBench bench, List<Sensor> sensors, FaultPrior prior, double share, Place place)
    {
        var steps = prior.Most > prior.Least ? Sizes : 1;
        var logs = new double[steps];
        var sizes = new double[steps];
        for (var i = 0; i < steps; i++)
        {
            sizes[i] = prior.Least + (prior.Most - prior.Least) * (steps == 1 ? 0 : (i + 0.5) / steps);
            logs[i] = Log(bench, sensors, prior.Kind, place, sizes[i]);
        }
        var top = logs.Max();
        var sum = logs.Sum(l => Math.Exp(l - top));
        var mean = logs.Select((l, i) => Math.Exp(l - top) * sizes[i]).Sum() / sum;
        return new(prior, place, Math.Log(share) + top + Math.Log(sum / steps), mean);
    }

    private static (double C, double LandK, double OwnK) Predicted(
        FaultBench bench,
        Sensor s,
        FaultKind kind,
        Place place,
        double size
    )
    {
        if (kind != FaultKind.Misread)
            return s.Of(bench, kind, place.At, place.Corner, size);
        var plain = s.Expected(bench);
        if (place.Sensor is { } index)
            return index == s.Index ? plain with { C = plain.C + place.Sign * size } : plain;
        // power misread by so many per cent: every rise goes with it
        var share = place.Sign * size / 100;
        return (plain.C + share * (plain.LandK + plain.OwnK), plain.LandK * (1 + share), plain.OwnK * (1 + share));
    }

    /// <summary>Log density of all readings: independent errors of each, and one common error of all lands (Sherman–Morrison).</summary>
    private static double Log(FaultBench bench, List<Sensor> sensors, FaultKind kind, Place place, double size)
    {
        double chi = 0,
            dot = 0,
            cross = 0,
            logs = 0;
        foreach (var s in sensors)
        {
            var (c, land, own) = Predicted(bench, s, kind, place, size);
            var half = HeatError.Land * land / Math.Sqrt(2);
            var d = s.Reading.SigmaK * s.Reading.SigmaK + half * half + Math.Pow(HeatError.Own * own, 2);
            var r = s.Reading.C - c;
            chi += r * r / d;
            dot += half * half / d;
            cross += r * half / d;
            logs += Math.Log(2 * Math.PI * d);
        }
        return -0.5 * (chi - cross * cross / (1 + dot) + logs + Math.Log(1 + dot));
    }

    private static FaultHypothesis Told(FaultBench bench, List<Sensor> sensors, List<Weighed> group, double probability)
    {
        var best = group.MaxBy(g => g.Log)!;
        var (kind, place) = (best.Prior.Kind, best.Place);
        List<string> parts = place.Sensor is { } index
            ? [.. sensors.First(s => s.Index == index).Reading.Parts]
            : [.. group.Select(g => g.Place.At).OfType<string>().Distinct()];
        var corner = kind == FaultKind.Tilt ? Corners[place.Corner] : null;
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
                    Math.Round(Predicted(bench, s, kind, place, best.Size).C - s.Expected(bench).C, 2)
                )),
            ],
            FaultChecks.Of(kind, parts, corner)
        );
    }
}
