using FaithfulBracket.Core.Prove.Faults;
using MathNet.Numerics.Distributions;

namespace FaithfulBracket.Core.Tests;

/// <summary>
/// Benches that the finder did not make: another plate, paste and pads that conduct a tenth better or worse than stated (one standard
/// deviation), a tilted die, contacts and lands of their own, a block's curve off by up to 10 %, sensors that are up to 0.8 K off;
/// and the limit of what can be said of them, by whoever knows all of this.
/// </summary>
/// <param name="Kind">What is wrong.</param>
/// <param name="At">The part it sits at; null for what concerns the whole.</param>
/// <param name="Misread">The sensor that is read wrong, or one past the last for the power.</param>
internal sealed record MadeBench(
    FaultKind Kind,
    string? At,
    int? Misread,
    int Corner,
    IReadOnlyList<SensorReading> Readings
)
{
    /// <summary>What each part really runs at.</summary>
    public required IReadOnlyDictionary<string, double> TrueC { get; init; }

    private const double Curve = 0.1,
        Conducts = 0.1,
        DieTilt = 0.06,
        Contact = 0.08,
        Land = 0.02,
        Offset = 0.8,
        Noise = 0.4;

    /// <summary>What a sensor is good for: offset and noise, K.</summary>
    private const double SigmaK = 0.61;

    private static readonly FaultBench Real = FaultTests.Simulator;
    private static readonly FaultPart Die = Real.Parts[0];
    private static readonly string[] Chips = [.. Real.Parts.Skip(1).Select(p => p.Id)];

    /// <summary>What a logger shows: every part, or the die alone, or hottest and mean of some.</summary>
    private static readonly (SensorKind Kind, string[] Parts)[][] Sets =
    [
        [.. Real.Parts.Select(p => (SensorKind.Mean, new[] { p.Id }))],
        [(SensorKind.Mean, [Die.Id])],
        [(SensorKind.Mean, [Die.Id]), (SensorKind.Max, Chips)],
        [(SensorKind.Mean, [Die.Id]), (SensorKind.Max, Chips[..3]), (SensorKind.Mean, Chips[3..])],
        [
            (SensorKind.Mean, [Die.Id]),
            (SensorKind.Max, Chips[..4]),
            (SensorKind.Mean, [Chips[4]]),
            (SensorKind.Mean, [Chips[5]]),
        ],
    ];

    /// <summary>Where each kind can sit under these sensors, and how large it can be.</summary>
    private static List<(FaultPrior Prior, string? At, int? Misread, int Corner, double Sign)> Places(
        FaultPrior prior,
        (SensorKind, string[])[] set
    ) =>
        prior.Kind switch
        {
            FaultKind.FilmLeft or FaultKind.PadMissing or FaultKind.PadThin =>
            [
                .. Chips
                    .Where(c => set.Any(s => s.Item2.Contains(c)))
                    .Select(c => (prior, (string?)c, (int?)null, 0, 1.0)),
            ],
            FaultKind.PasteVoid or FaultKind.PumpOut => [(prior, Die.Id, null, 0, 1)],
            FaultKind.Tilt => [.. Enumerable.Range(0, 4).Select(c => (prior, (string?)null, (int?)null, c, 1.0))],
            // the last is the power
            FaultKind.Misread =>
            [
                .. Enumerable
                    .Range(0, set.Length + 1)
                    .SelectMany(i => new[] { 1.0, -1 }.Select(sign => (prior, (string?)null, (int?)i, 0, sign))),
            ],
            _ => [(prior, null, null, 0, 1)],
        };

    public static MadeBench Of(int seed)
    {
        var random = new Random(seed);
        double Even(double most) => most * (2 * random.NextDouble() - 1);
        double Gauss(double sd) =>
            sd * Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
        var set = Sets[seed % Sets.Length];
        var priors = FaultPriors.Default.Where(p => Places(p, set).Count > 0).ToList();
        var pick = random.NextDouble() * priors.Sum(p => p.Prior);
        var prior = priors.First(p => (pick -= p.Prior) <= 0);
        var places = Places(prior, set);
        var (_, at, misread, corner, sign) = places[random.Next(places.Count)];
        var size = prior.Least + random.NextDouble() * (prior.Most - prior.Least);
        double curve = Even(Curve),
            paste = Gauss(Conducts) + DieTilt * random.NextDouble(),
            pads = Gauss(Conducts);
        var power = misread == set.Length ? 1 + sign * size / 100 : 1;
        var c = Real.Parts.ToDictionary(
            p => p.Id,
            p =>
            {
                var (t, land, own) = Real.With(p, misread is null ? prior.Kind : FaultKind.None, at, corner, size);
                return t
                    - land
                    - own
                    + power
                        * (land * (1 + curve + Gauss(Land)) + own * (p.IsDie ? 1 + paste : 1 + pads + Gauss(Contact)));
            }
        );
        return new(
            prior.Kind,
            at,
            misread,
            corner,
            [
                .. set.Select(
                    (s, i) =>
                        new SensorReading(
                            s.Parts,
                            s.Kind,
                            (s.Kind == SensorKind.Max ? s.Parts.Max(p => c[p]) : s.Parts.Average(p => c[p]))
                                + (misread == i ? sign * size : 0)
                                + Even(Offset)
                                + Gauss(Noise),
                            SigmaK
                        )
                ),
            ]
        )
        {
            TrueC = c,
        };
    }

    /// <summary>Whether a line says what is wrong, and where.</summary>
    public bool Is(FaultHypothesis h) => Is(h, Kind, At, Misread, Corner, Readings);

    private static readonly string[] Corners = ["lower left", "lower right", "upper right", "upper left"];

    private static bool Is(
        FaultHypothesis h,
        FaultKind kind,
        string? at,
        int? misread,
        int corner,
        IReadOnlyList<SensorReading> readings
    ) =>
        h.Kind == kind
        && (at is null || h.Parts.Contains(at))
        && (kind != FaultKind.Tilt || h.Corner == Corners[corner])
        && (misread is not { } i || h.Parts.SequenceEqual(i < readings.Count ? readings[i].Parts : []));

    /// <summary>Every line's chance by enumeration of all that goes into such a bench.</summary>
    public double[] Limit(IReadOnlyList<FaultHypothesis> told)
    {
        var set = Readings.Select(r => (r.Kind, r.Parts.ToArray())).ToArray();
        var weights = new double[told.Count];
        foreach (var prior in FaultPriors.Default)
        {
            var places = Places(prior, set);
            foreach (var (_, at, misread, corner, sign) in places)
            {
                var steps = prior.Most > prior.Least ? 8 : 1;
                var sum = 0.0;
                for (var k = 0; k < steps; k++)
                {
                    var size = prior.Least + (prior.Most - prior.Least) * (steps == 1 ? 0 : (k + 0.5) / steps);
                    sum += Density(misread is null ? prior.Kind : FaultKind.None, at, corner, sign * size, misread);
                }
                for (var h = 0; h < told.Count; h++)
                    if (Is(told[h], prior.Kind, at, misread, corner, Readings))
                        weights[h] += prior.Prior / places.Count * sum / steps;
            }
        }
        var total = weights.Sum();
        return [.. weights.Select(w => w / total)];
    }

    private const int Nodes = 5;

    /// <summary>Of stuff that conducts otherwise than stated, levels as likely as each other.</summary>
    private static double Level(int i) => Normal.InvCDF(0, Conducts, (i + 0.5) / Nodes);

    private static double Node(double most, int i) => most * (2 * (i + 0.5) / Nodes - 1);

    /// <summary>Of all readings under one fault of one size, averaged over what nobody states.</summary>
    private double Density(FaultKind kind, string? at, int corner, double size, int? misread)
    {
        var power = misread == Readings.Count ? 1 + size / 100 : 1;
        var total = 0.0;
        for (var g = 0; g < Nodes; g++)
        {
            var pads = 0.0;
            for (var a = 0; a < Nodes; a++)
            {
                var one = 1.0;
                for (var i = 1; i < Readings.Count; i++)
                    one *= Chip(i, kind, at, corner, size, misread, power, g, a);
                pads += one;
            }
            total += OfDie(kind, at, corner, size, misread, power, g) * pads;
        }
        return total;
    }

    private static double Mean((double C, double LandK, double OwnK) p, double power, double curve, double own) =>
        p.C - p.LandK - p.OwnK + power * (p.LandK * (1 + curve) + p.OwnK * (1 + own));

    private static double Sd((double C, double LandK, double OwnK) p, double power) =>
        power * Math.Sqrt(Math.Pow(Land * p.LandK, 2) + Math.Pow(Contact * p.OwnK, 2));

    private double OfDie(FaultKind kind, string? at, int corner, double size, int? misread, double power, int g)
    {
        var same =
            power == 1
            && misread != 0
            && at != Die.Id
            && (at is not null || misread is not null || kind == FaultKind.None);
        if (same && _same.TryGetValue((0, g, 0), out var known))
            return known;
        var die = Real.With(Die, kind, at, corner, misread is null ? size : 0);
        var sum = 0.0;
        for (var a = 0; a < Nodes; a++)
        for (var b = 0; b < Nodes; b++)
            sum += Sensed(
                Readings[0].C
                    - (misread == 0 ? size : 0)
                    - Mean(die, power, Node(Curve, g), Level(a) + DieTilt * (b + 0.5) / Nodes),
                power * Land * die.LandK
            );
        if (same)
            _same[(0, g, 0)] = sum;
        return sum;
    }

    /// <summary>What one fault leaves as it is, by sensor and levels.</summary>
    private readonly Dictionary<(int, int, int), double> _same = [];

    /// <summary>Density of one sensor over memory.</summary>
    private double Chip(
        int i,
        FaultKind kind,
        string? at,
        int corner,
        double size,
        int? misread,
        double power,
        int g,
        int a
    )
    {
        var reading = Readings[i];
        var here = at is not null && reading.Parts.Contains(at);
        // what concerns another part alone leaves this sensor as it is
        var same =
            power == 1 && misread != i && !here && (at is not null || misread is not null || kind == FaultKind.None);
        if (same && _same.TryGetValue((i, g, a), out var known))
            return known;
        double curve = Node(Curve, g),
            pads = Level(a),
            r = reading.C - (misread == i ? size : 0);
        var of = reading
            .Parts.Select(id =>
            {
                var p = Real.With(Part[id], kind, at, corner, misread is null ? size : 0);
                return (C: Mean(p, power, curve, pads), Sd: Sd(p, power));
            })
            .ToArray();
        var density =
            reading.Kind == SensorKind.Mean
                ? Sensed(r - of.Average(x => x.C), Math.Sqrt(of.Sum(x => x.Sd * x.Sd)) / of.Length)
                : SensedMax(r, of);
        if (same)
            _same[(i, g, a)] = density;
        return density;
    }

    private static readonly Dictionary<string, FaultPart> Part = Real.Parts.ToDictionary(p => p.Id);

    /// <summary>Density of what a sensor shows over a temperature that is itself normal: noise and an even offset on it.</summary>
    private static double Sensed(double r, double sd)
    {
        var s = Math.Sqrt(sd * sd + Noise * Noise);
        return (Cdf((r + Offset) / s) - Cdf((r - Offset) / s)) / (2 * Offset);
    }

    private const int Fine = 4096;
    private static readonly double[] Table =
    [
        .. Enumerable.Range(0, Fine + 2).Select(i => Normal.CDF(0, 1, 16.0 * i / Fine - 8)),
    ];

    private static double Cdf(double z)
    {
        var x = Math.Clamp((z + 8) / 16 * Fine, 0, Fine);
        var i = (int)x;
        return Table[i] + (x - i) * (Table[i + 1] - Table[i]);
    }

    /// <summary>The same of the hottest of several: only what lies within its noise of the reading counts.</summary>
    private static double SensedMax(double r, (double C, double Sd)[] of)
    {
        const int steps = 16;
        const double reach = Offset + 3.5 * Noise;
        var sum = 0.0;
        for (var i = 0; i < steps; i++)
        {
            var m = r - reach + 2 * reach * (i + 0.5) / steps;
            double all = 1,
                rate = 0;
            foreach (var (c, sd) in of)
            {
                var z = (m - c) / sd;
                if (z > 6)
                    continue;
                var below = Cdf(z);
                if (below < 1e-14)
                {
                    all = 0;
                    break;
                }
                all *= below;
                rate += Math.Exp(-z * z / 2) / (sd * 2.5066282746) / below;
            }
            if (all > 0)
                sum += all * rate * Sensed(r - m, 0) * 2 * reach / steps;
        }
        return sum;
    }
}
