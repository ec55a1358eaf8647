using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Words.Prove;

namespace FaithfulBracket.Core.Prove;

/// <summary>One steady run before or after the work.</summary>
/// <param name="Order">Its place in the series: when it was run, as a number.</param>
/// <param name="SigmaK">Of die less reference, one standard deviation, K.</param>
public sealed record TrialRun(
    Phase Phase,
    double Order,
    double DieC,
    double? CoolantInC,
    double? RoomC,
    double? FlowLMin,
    double PowerW,
    double SigmaK = TrialRun.UsualSigmaK
)
{
    public const double UsualSigmaK = 1.04;
}

/// <summary>What the die's temperature is told over.</summary>
public enum TrialReference
{
    CoolantMean,
    Inlet,
    Room,
}

/// <param name="GainK">Cooler at the asked power, before less after.</param>
/// <param name="LowK">Lower end of its 95 % interval.</param>
/// <param name="DriftKPerRun">Change from run to run at the asked power; 0 where the runs cannot tell one.</param>
/// <param name="Next">The phase whose next run narrows the interval most.</param>
/// <param name="RunsNeeded">Fewest further runs until the interval is as narrow as asked; null without one, or past the limit.</param>
public sealed record TrialResult(
    double GainK,
    double LowK,
    double HighK,
    double DriftKPerRun,
    double DriftLowK,
    double DriftHighK,
    TrialReference Reference,
    Phase Next,
    int? RunsNeeded
)
{
    /// <summary>Half of the 95 % interval of one run at the asked power, K.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double OneRunK { get; init; }
}

/// <summary>
/// Several runs before and after as one fit: R_i = R_phase + β·order_i + ε_i, ordinary least squares; β only where at
/// least 4 runs tell it apart from the phases and a degree of freedom is left.
/// </summary>
public static class Trials
{
    public const int MaxRuns = 500,
        MaxFurther = 200;

    private const double Share = 0.95;
    private const int MinRunsForDrift = 4;

    /// <summary>Intervals nearer to each other than this share are as wide.</summary>
    private const double AsWide = 1e-12;

    /// <summary>Orders that vary less than this within a phase are one.</summary>
    private const double SameOrder = 1e-9;

    public static readonly string InWords = TrialsWords.LimitsRunsBodyOfMiB(MaxRuns);

    /// <param name="powerW">Power at which the gain is told.</param>
    /// <param name="plusMinusK">How narrow the interval is wanted; null where nobody asks.</param>
    /// <param name="only">The phase that can still be run; null while both can.</param>
    /// <exception cref="InputException">A phase has no run, or no reference is in all of them.</exception>
    public static TrialResult Compute(
        IReadOnlyList<TrialRun> runs,
        double powerW,
        double? plusMinusK = null,
        Phase? only = null
    )
    {
        foreach (var phase in Enum.GetValues<Phase>())
            if (runs.All(r => r.Phase != phase))
                throw new InputException("runs", TrialsWords.ThereIsNoRunWork(phase.ToString().ToLowerInvariant()));
        var reference = ReferenceOf(runs);
        var model = Model.Compute(runs);
        var resistance = runs.Select(r => (r.DieC - Over(r, reference)) / r.PowerW).ToList();
        var drift = 0.0;
        var (before, after) = (Mean(runs, resistance, Phase.Before), Mean(runs, resistance, Phase.After));
        if (model.HasDrift)
            drift =
                runs.Zip(resistance).Sum(x => (x.First.Order - model.OrderOf(x.First.Phase)) * x.Second) / model.Spread;
        var gain = before - after - drift * (model.Before.Mean - model.After.Mean);
        var residual = runs.Zip(resistance)
            .Sum(x =>
                Square(
                    x.Second
                        - (x.First.Phase == Phase.Before ? before : after)
                        - drift * (x.First.Order - model.OrderOf(x.First.Phase))
                )
            );
        var s =
            model.Freedom > 0
                ? Math.Sqrt(residual / model.Freedom)
                : Math.Sqrt(runs.Average(r => Square(r.SigmaK / r.PowerW)));
        var half = model.HalfWidth * s * powerW;
        var driftHalf = model.HasDrift ? model.Times * s / Math.Sqrt(model.Spread) * powerW : 0;
        var next = only ?? Next(model);
        return new(
            gain * powerW,
            gain * powerW - half,
            gain * powerW + half,
            drift * powerW,
            drift * powerW - driftHalf,
            drift * powerW + driftHalf,
            reference,
            next,
            plusMinusK is { } wanted ? Further(model, next, s * powerW, wanted, only) : null
        )
        {
            OneRunK = model.Times * s * powerW,
        };
    }

    private static double Square(double x) => x * x;

    private static double Mean(IReadOnlyList<TrialRun> runs, List<double> resistance, Phase phase) =>
        runs.Zip(resistance).Where(x => x.First.Phase == phase).Average(x => x.Second);

    /// <summary>The most exact reference that every run has.</summary>
    private static TrialReference ReferenceOf(IReadOnlyList<TrialRun> runs) =>
        runs.All(r => r is { CoolantInC: not null, FlowLMin: not null }) ? TrialReference.CoolantMean
        : runs.All(r => r.CoolantInC is not null) ? TrialReference.Inlet
        : runs.All(r => r.RoomC is not null) ? TrialReference.Room
        : throw new InputException("runs", TrialsWords.NoReferenceIsInAllRuns);

    internal static double Over(TrialRun r, TrialReference reference) =>
        reference switch
        {
            TrialReference.CoolantMean => r.CoolantInC!.Value + Coolant.RiseK(r.PowerW, r.FlowLMin!.Value) / 2,
            TrialReference.Inlet => r.CoolantInC!.Value,
            _ => r.RoomC!.Value,
        };

    /// <summary>The phase whose next run narrows the interval most or widens it least; of equals the one with fewer runs.</summary>
    private static Phase Next(Model model)
    {
        var (before, after) = (model.With(Phase.Before).HalfWidth, model.With(Phase.After).HalfWidth);
        if (Math.Abs(before - after) > AsWide * Math.Max(before, after))
            return before < after ? Phase.Before : Phase.After;
        return model.After.Count < model.Before.Count ? Phase.After : Phase.Before;
    }

    private static int? Further(Model model, Phase next, double scaleK, double wantedK, Phase? only)
    {
        for (var n = 0; n <= MaxFurther; n++)
        {
            if (model.HalfWidth * scaleK <= wantedK)
                return n;
            model = model.With(next);
            next = only ?? (next == Phase.Before ? Phase.After : Phase.Before);
        }
        return null;
    }

    /// <summary>Orders of one phase.</summary>
    private readonly record struct Orders(int Count, double Mean, double Spread)
    {
        public static Orders Compute(IEnumerable<double> orders)
        {
            var all = orders.ToList();
            var mean = all.Average();
            return new(all.Count, mean, all.Sum(o => Square(o - mean)));
        }

        public Orders With(double order) =>
            new(Count + 1, Mean + (order - Mean) / (Count + 1), Spread + Square(order - Mean) * Count / (Count + 1));
    }

    /// <summary>All of a fit that goes by when the runs were, not by what they read.</summary>
    private readonly record struct Model(Orders Before, Orders After, double LastOrder)
    {
        public static Model Compute(IReadOnlyList<TrialRun> runs) =>
            new(
                Orders.Compute(runs.Where(r => r.Phase == Phase.Before).Select(r => r.Order)),
                Orders.Compute(runs.Where(r => r.Phase == Phase.After).Select(r => r.Order)),
                runs.Max(r => r.Order)
            );

        private int Count => Before.Count + After.Count;

        /// <summary>Of the orders within their phases.</summary>
        public double Spread => Before.Spread + After.Spread;

        public bool HasDrift => Count >= MinRunsForDrift && Spread > SameOrder;

        public int Freedom => Count - (HasDrift ? 3 : 2);

        /// <summary>Standard errors on either side.</summary>
        public double Times => Freedom > 0 ? Student.Times(Share, Freedom) : Student.Normal(Share);

        /// <summary>Half of the gain's interval for a residual deviation of 1: t·√(cᵀ(XᵀX)⁻¹c).</summary>
        public double HalfWidth =>
            Times
            * Math.Sqrt(
                1.0 / Before.Count + 1.0 / After.Count + (HasDrift ? Square(Before.Mean - After.Mean) / Spread : 0)
            );

        public double OrderOf(Phase phase) => phase == Phase.Before ? Before.Mean : After.Mean;

        /// <summary>With one more run, after all others.</summary>
        public Model With(Phase phase)
        {
            var order = LastOrder + 1;
            return phase == Phase.Before
                ? this with
                {
                    Before = Before.With(order),
                    LastOrder = order,
                }
                : this with
                {
                    After = After.With(order),
                    LastOrder = order,
                };
        }
    }
}
