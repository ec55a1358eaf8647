using FaithfulBracket.Core.Kit;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Schedule;

/// <summary>What one job needs, and when each station of it begins.</summary>
public sealed record JobNeeds(
    long Job,
    string Title,
    IReadOnlyList<KitLine> Lines,
    IReadOnlyDictionary<Station, DateTime> Begins
);

/// <summary>One thing to order.</summary>
/// <param name="Need">What all planned jobs need beyond their own kits.</param>
/// <param name="Stock">What lies in the drawer.</param>
/// <param name="Buy">What to order, in words.</param>
/// <param name="RunsOutAt">When the first job finds too little of it.</param>
/// <param name="RunsOut">The same in words.</param>
/// <param name="Jobs">Those that need it, first the one that finds too little.</param>
public sealed record OrderLine(
    string Group,
    string Name,
    string Unit,
    double Need,
    double Stock,
    double Short,
    string Buy,
    DateTime? RunsOutAt,
    string RunsOut,
    IReadOnlyList<string> Jobs
);

/// <summary>What has to be ordered today for the planned jobs: needs in working order against the drawer.</summary>
public static class OrderList
{
    /// <summary>A sheet that nobody stocks yet, mm.</summary>
    private const double UsualSheetMm = 100;

    public static IReadOnlyList<OrderLine> Compute(IReadOnlyList<JobNeeds> jobs, Drawer drawer, DateTime now) =>
        [
            .. jobs.SelectMany(j => j.Lines.Select(l => (Job: j, Line: l, At: UsedAt(j, l))))
                .Where(x => x.At is not null)
                .GroupBy(x => (x.Line.Group, x.Line.Name, x.Line.Unit))
                .Select(g => Line([.. g.OrderBy(x => x.At).ThenBy(x => x.Job.Job)], drawer, now))
                .OfType<OrderLine>()
                .Concat(Low(drawer, now))
                .DistinctBy(l => l.Name)
                .OrderBy(l => l.RunsOutAt)
                .ThenBy(l => l.Group, StringComparer.Ordinal)
                .ThenBy(l => l.Name, StringComparer.Ordinal),
        ];

    /// <summary>What the drawer runs short of, whatever is planned.</summary>
    private static IEnumerable<OrderLine> Low(Drawer drawer, DateTime now) =>
        drawer
            .Low()
            .Select(l => (l.Name, l.Unit, Need: l.LowAt, Stock: l.Left))
            .Select(x => new OrderLine(
                "low",
                x.Name,
                x.Unit,
                x.Need,
                x.Stock,
                Math.Round(x.Need - x.Stock, 2),
                FormattableString.Invariant($"{x.Stock:0.##}{(x.Unit.Length > 0 ? " " + x.Unit : "")} left"),
                now,
                "low now",
                []
            ));

    /// <summary>When a job takes it out of the drawer; null once that is behind it.</summary>
    private static DateTime? UsedAt(JobNeeds job, KitLine line)
    {
        var station = line.Group switch
        {
            "pads" => Station.Pads,
            "paste" => Station.Paste,
            "drivers" => Station.Teardown,
            "consumables" => Station.Prep,
            _ => Station.Mount,
        };
        return job.Begins.TryGetValue(station, out var at) ? at : null;
    }

    private static OrderLine? Line(List<(JobNeeds Job, KitLine Line, DateTime? At)> uses, Drawer drawer, DateTime now)
    {
        var (first, stock) = (uses[0].Line, uses.Max(u => u.Line.FromDrawer));
        // a driver and a stock that is kept are there for every job, not used up by one
        var stays = first.Group is "drivers" or "consumables";
        var taken = 0.0;
        (JobNeeds Job, KitLine Line, DateTime? At)? dry = null;
        foreach (var use in uses)
        {
            var own = Math.Max(0, use.Line.Need - use.Line.FromKit);
            taken = stays ? Math.Max(taken, own) : taken + own;
            if (dry is null && taken > stock + 1e-9)
                dry = use;
        }
        if (dry is not { } at)
            return null;
        var missing = Math.Round(taken - stock, 2);
        return new(
            first.Group,
            first.Name,
            first.Unit,
            Math.Round(taken, 2),
            stock,
            missing,
            Buy(first, missing, drawer),
            at.At,
            $"by {DayWords.When(at.At!.Value, now)}",
            [at.Job.Title, .. uses.Where(u => u.Job != at.Job && u.Line.Need > u.Line.FromKit).Select(u => u.Job.Title)]
        );
    }

    private static string Buy(KitLine line, double missing, Drawer drawer)
    {
        if (line.Group == "pads")
        {
            var whole = drawer
                .Pads.Where(p =>
                    !p.Offcut && line.Name == FormattableString.Invariant($"pad {p.ThicknessMm:0.0#} mm {p.Material}")
                )
                .MaxBy(p => p.WidthMm * p.DepthMm);
            var (w, d) = whole is null ? (UsualSheetMm, UsualSheetMm) : (whole.WidthMm, whole.DepthMm);
            var sheets = (int)Math.Ceiling(missing / (w * d / 100));
            return FormattableString.Invariant($"{HowMany.Count(sheets, "sheet")} of {w:0.#} × {d:0.#} mm");
        }
        var amount = line.Unit is "" or "g" ? missing : Math.Ceiling(missing);
        return FormattableString.Invariant($"{amount:0.##}{(line.Unit.Length > 0 ? " " + line.Unit : "")}");
    }
}
