using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Schedule;

/// <summary>How long hands take over a step, by its kind.</summary>
/// <param name="Minutes">For one step, or for one of what is counted.</param>
/// <param name="Seen">Signed steps that the figure rests on; 0 for the default.</param>
public sealed record StepPace(StepKind Kind, double Minutes, int Seen);

/// <summary>Times of the shop's own signed steps: the median of each kind, the default until enough are signed.</summary>
public sealed class StepMinutes
{
    /// <summary>Fewer signed steps of a kind say nothing yet.</summary>
    public const int MinSeen = 5;

    /// <summary>A pause longer than this was no work on the step.</summary>
    public static readonly TimeSpan Longest = TimeSpan.FromMinutes(45);

    /// <summary>Signatures closer than this were given together, for work done before.</summary>
    public static readonly TimeSpan Together = TimeSpan.FromSeconds(2);

    private readonly Dictionary<StepKind, StepPace> _paces;

    private StepMinutes(Dictionary<StepKind, StepPace> paces) => _paces = paces;

    /// <summary>Nothing learned yet.</summary>
    public static readonly StepMinutes Default = new([]);

    public StepPace Estimate(StepKind kind) => _paces.GetValueOrDefault(kind) ?? new(kind, Usual(kind), 0);

    /// <summary>Kinds that were learned, in their order.</summary>
    public IReadOnlyList<StepPace> Learned => [.. _paces.Values.OrderBy(p => p.Kind)];

    /// <summary>Minutes of hands for one step; waits are not in it.</summary>
    public double Estimate(StepKind kind, int? count) =>
        Estimate(kind).Minutes * (PerPiece(kind) ? Math.Max(1, count ?? 1) : 1);

    /// <summary>Whether a kind's time goes with what is counted.</summary>
    public static bool PerPiece(StepKind kind) =>
        kind is StepKind.Unscrew or StepKind.Fasten or StepKind.Start or StepKind.Cut or StepKind.Plug or StepKind.Turn;

    /// <param name="signed">Sign-offs of all jobs; taken-back ones too.</param>
    public static StepMinutes Learn(IEnumerable<SignedPace> signed)
    {
        var seen = new Dictionary<StepKind, List<double>>();
        foreach (var run in signed.GroupBy(s => (s.Job, s.By)))
        {
            DateTimeOffset? last = null;
            foreach (var together in Batches(run.OrderBy(s => s.At)))
            {
                var at = together[^1].At;
                var took = at - last;
                last = at;
                if (took is not { } t || t > Longest)
                    continue;
                var work = t.TotalMinutes - together.Sum(s => s.WaitMin);
                if (work <= 0)
                    continue;
                // steps signed together share their time by what each usually takes
                var usual = together.Sum(s => Share(s) * Usual(s.Kind));
                foreach (var s in together)
                {
                    if (!seen.TryGetValue(s.Kind, out var list))
                        seen[s.Kind] = list = [];
                    list.Add(work * Usual(s.Kind) / usual);
                }
            }
        }
        return new(
            seen.Where(s => s.Value.Count >= MinSeen)
                .ToDictionary(s => s.Key, s => new StepPace(s.Key, Median(s.Value), s.Value.Count))
        );
    }

    private static double Share(SignedPace s) => PerPiece(s.Kind) ? Math.Max(1, s.Count ?? 1) : 1;

    private static IEnumerable<List<SignedPace>> Batches(IEnumerable<SignedPace> inOrder)
    {
        List<SignedPace> batch = [];
        foreach (var s in inOrder)
        {
            if (batch.Count > 0 && s.At - batch[^1].At > Together)
            {
                yield return batch;
                batch = [];
            }
            batch.Add(s);
        }
        if (batch.Count > 0)
            yield return batch;
    }

    private static double Median(List<double> values)
    {
        values.Sort();
        var half = values.Count / 2;
        return values.Count % 2 == 1 ? values[half] : (values[half - 1] + values[half]) / 2;
    }

    /// <summary>What it takes until the shop's own steps tell better, minutes.</summary>
    public static double Usual(StepKind kind) =>
        kind switch
        {
            StepKind.Read => 2,
            StepKind.Count => 2,
            StepKind.Run => 12,
            StepKind.PowerOff => 1,
            StepKind.Unscrew => 0.5,
            StepKind.Unplug => 0.7,
            StepKind.Lift => 2,
            StepKind.Clean => 6,
            StepKind.Prepare => 5,
            StepKind.DryFit => 8,
            StepKind.Cut => 0.6,
            StepKind.Lay => 1.2,
            StepKind.Spread => 4,
            StepKind.Lower => 2,
            StepKind.Start => 0.4,
            StepKind.Turn => 0.4,
            StepKind.Fit => 2,
            StepKind.BackPlate => 3,
            StepKind.Plug => 0.5,
            StepKind.Connect => 0.7,
            StepKind.Look => 2,
            StepKind.Photograph => 2,
            StepKind.LeakTest => 5,
            StepKind.Fill => 10,
            StepKind.Boot => 4,
            StepKind.Store => 3,
            StepKind.Note => 3,
            StepKind.Fasten => 0.5,
            StepKind.HandOver => 5,
            StepKind.Seat => 3,
            StepKind.Warm => 2,
            StepKind.Shear => 5,
            StepKind.Scrape => 10,
            StepKind.Coat => 5,
            StepKind.Rebuild => 15,
            _ => 3,
        };
}

/// <summary>One signed step as a time is learned from it.</summary>
/// <param name="At">When it was done at the bench.</param>
/// <param name="WaitMin">The wait that is part of it.</param>
public sealed record SignedPace(long Job, string By, StepKind Kind, int? Count, DateTimeOffset At, double WaitMin);
