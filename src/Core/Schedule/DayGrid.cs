using FaithfulBracket.Core.Words.Schedule;

namespace FaithfulBracket.Core.Schedule;

/// <summary>A day as whole numbers: operations in a row, who comes before whom, times in ticks.</summary>
internal sealed class DayGrid
{
    /// <summary>Where none of these parts of a minute makes every time whole, times are rounded to a hundredth.</summary>
    private const int Hundredths = 100;
    private static readonly int[] TickChoices = [1, 2, 3, 4, 5, 6, 10, 12, 20, 30, 60, Hundredths, 300, 600, 1000];

    private DayGrid(ShopDay day, List<Op> ops, int ticks, bool exact)
    {
        (Day, Ops, TicksAMinute, IsExact) = (day, ops, ticks, exact);
        OwnWork =
            ops.TrueForAll(o => o.Of.Hands == 0 || o.Of is { By: not null, Hands: 1 })
            && ops.Select(o => o.Of.By).OfType<string>().Distinct().Count() <= day.Hands;
        Shared =
        [
            .. day.Tools.Select(t => new SharedThing(t.Count, o => o.Tool == t.Id ? 1 : 0)),
            // one person does one thing at a time
            .. ops.Select(o => o.Of.By)
                .OfType<string>()
                .Distinct()
                .Select(by => new SharedThing(1, o => o.By == by ? o.Hands : 0)),
        ];
    }

    /// <param name="Before">Indices that have to end first.</param>
    /// <param name="Pin">Where it has to begin.</param>
    public sealed record Op(
        BenchWork Job,
        BenchOperation Of,
        long Release,
        long Length,
        long? Begun,
        IReadOnlyList<int> Before,
        long? Pin
    );

    /// <summary>What operations share: tools, and people by name.</summary>
    /// <param name="Takes">How much of it an operation holds.</param>
    public sealed record SharedThing(int Count, Func<BenchOperation, int> Takes);

    public IReadOnlyList<SharedThing> Shared { get; }

    /// <summary>Whether all work by hand is somebody's own, and there are hands for each of them.</summary>
    public bool OwnWork { get; }

    /// <summary>
    /// Whether every time is a whole number of ticks: else lengths were rounded, and nothing about the day itself is
    /// proven.
    /// </summary>
    public bool IsExact { get; }

    public ShopDay Day { get; }
    public IReadOnlyList<Op> Ops { get; }
    public int TicksAMinute { get; }

    public long Ticks(double minutes) => (long)Math.Round(minutes * TicksAMinute);

    public double Minutes(long ticks) => (double)ticks / TicksAMinute;

    /// <param name="shorter">
    /// Whether lengths and releases are rounded down instead of up: such a day ends no later than the real one.
    /// </param>
    /// <exception cref="InputException">
    /// Names that lead nowhere, circles, more hands or tools asked than there are.
    /// </exception>
    public static DayGrid Create(ShopDay day, bool shorter = false)
    {
        long Rounded(double ticks) => (long)(shorter ? Math.Floor(ticks + 1e-6) : Math.Ceiling(ticks - 1e-6));
        var faults = new List<InputFault>();
        bool All(int ticksAMinute) =>
            day.Jobs.All(j =>
                Whole(j.ReleaseMin * ticksAMinute)
                && Whole((j.DueMin ?? 0) * ticksAMinute)
                && j.Operations.All(o =>
                    Whole(o.Minutes * ticksAMinute)
                    && Whole((o.BegunMin ?? 0) * ticksAMinute)
                    && Whole((o.PinMin ?? 0) * ticksAMinute)
                )
            );
        var ticks = Array.Find(TickChoices, All) is > 0 and var exact ? exact : Hundredths;
        var index = new Dictionary<string, int>();
        foreach (var job in day.Jobs)
        foreach (var op in job.Operations)
            index.TryAdd($"{job.Id}/{op.Id}", index.Count);
        var tools = day.Tools.ToDictionary(t => t.Id, t => t.Count);
        var ops = new List<Op>();
        for (var j = 0; j < day.Jobs.Count; j++)
        {
            var job = day.Jobs[j];
            for (var o = 0; o < job.Operations.Count; o++)
            {
                var (op, at) = (job.Operations[o], $"jobs/{j}/operations/{o}");
                var before = new List<int>();
                foreach (var (name, k) in (op.After ?? Previous(job, o)).Select((n, k) => (n, k)))
                    if (index.TryGetValue($"{job.Id}/{name}", out var own))
                        before.Add(own);
                    else if (index.TryGetValue(name, out var other))
                        before.Add(other);
                    else
                        faults.Add(new($"{at}/after/{k}", DayGridWords.IsNotOperationOfThisDay(name)));
                if (op.Hands > day.Hands)
                    faults.Add(new($"{at}/hands", DayGridWords.ItNeedsPairsOfHands(op.Hands, day.Hands)));
                if (op.Tool is { } tool && !tools.ContainsKey(tool))
                    faults.Add(new($"{at}/tool", DayGridWords.IsNotToolOfThisDay(tool)));
                ops.Add(
                    new(
                        job,
                        op,
                        Rounded(Math.Max(job.ReleaseMin, op.PinMin ?? double.MinValue) * ticks),
                        Rounded(op.Minutes * ticks),
                        op.BegunMin is { } begun ? (long)Math.Round(begun * ticks) : null,
                        before,
                        op.PinMin is { } pin ? (long)Math.Ceiling(pin * ticks - 1e-9) : null
                    )
                );
            }
        }
        if (faults.Count > 0)
            throw new InputException(faults);
        var grid = new DayGrid(day, ops, ticks, All(ticks));
        grid.RefuseCircles();
        grid.RefuseCrowds();
        return grid;
    }

    private static bool Whole(double ticks) => Math.Abs(ticks - Math.Round(ticks)) < 1e-6;

    private static IReadOnlyList<string> Previous(BenchWork job, int at) => at == 0 ? [] : [job.Operations[at - 1].Id];

    private void RefuseCircles()
    {
        var done = new bool[Ops.Count];
        for (var progress = true; progress; )
        {
            progress = false;
            for (var i = 0; i < Ops.Count; i++)
                if (!done[i] && Ops[i].Before.All(b => done[b]))
                    progress = done[i] = true;
        }
        if (Array.IndexOf(done, false) is >= 0 and var stuck)
            throw new InputException(
                "jobs",
                DayGridWords.WaitsForSomethingThatWaits(Ops[stuck].Job.Id, Ops[stuck].Of.Id)
            );
    }

    /// <summary>What has begun is not moved: it must be possible as it stands.</summary>
    private void RefuseCrowds()
    {
        var begun = Ops.Where(o => o.Begun is not null).ToList();
        foreach (var at in begun.Select(o => o.Begun!.Value).Distinct())
        {
            var now = begun.Where(o => o.Begun <= at && at < o.Begun + o.Length).ToList();
            if (now.Sum(o => o.Of.Hands) > Day.Hands)
                throw new InputException("jobs", DayGridWords.MoreHasBegunAtOnce);
            foreach (var tool in Day.Tools)
                if (now.Count(o => o.Of.Tool == tool.Id) > tool.Count)
                    throw new InputException("jobs", DayGridWords.MoreHasBegunAtOnceThanThere(tool.Id));
        }
    }
}
