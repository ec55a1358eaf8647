using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Core.Words.Care;

namespace FaithfulBracket.Core.Care;

/// <summary>One proof as it enters the drift.</summary>
/// <param name="Day">Since the first.</param>
/// <param name="PlusMinus">Standard uncertainty, K/W.</param>
public sealed record DriftMark(DateOnly On, double Day, double KPerW, double PlusMinus);

/// <summary>Repeated proofs as a line.</summary>
/// <param name="LimitKPerW">What the line may reach.</param>
/// <param name="DueLow">90 % interval of the day it gets there.</param>
public sealed record DriftSeen(
    IReadOnlyList<DriftMark> Marks,
    DriftResult Line,
    double LimitKPerW,
    DateOnly Due,
    DateOnly DueLow,
    DateOnly DueHigh
);

/// <param name="Repaste">When the paste is due: by drift, or by its kind, and never before the last proof; null where none was used.</param>
/// <param name="Inspections">Yearly looks at the loop until then.</param>
/// <param name="Drift">Null with fewer than two proofs of different days.</param>
/// <param name="Text">In a sentence.</param>
public sealed record CareDates(DateOnly? Repaste, IReadOnlyList<DateOnly> Inspections, DriftSeen? Drift, Message Text)
{
    /// <summary>Months between two looks at a loop.</summary>
    private const int InspectMonths = 12;

    /// <summary>Looks that are told where no paste sets an end.</summary>
    private const int MonthsWithoutPaste = 24;

    /// <param name="readings">Those after, with a coolant and a day, count; in any order.</param>
    /// <param name="curve">Brings flows to that of the first proof; null where the block states none.</param>
    /// <param name="months">By the paste's kind; null where no face took paste.</param>
    /// <param name="opened">Counts where nothing was proved yet.</param>
    /// <param name="limitShare">How far the resistance may drift.</param>
    public static CareDates Compute(
        IReadOnlyList<Reading> readings,
        FlowCurve? curve,
        int? months,
        DateOnly opened,
        double limitShare = Prove.Drift.DefaultLimitShare
    )
    {
        var marks = Marks(readings, curve);
        var from = marks.Count > 0 ? marks[0].On : opened;
        var cap = from.AddMonths(months ?? MonthsWithoutPaste);
        var drift =
            months is not null && marks.Count >= Prove.Drift.MinPoints && marks[^1].Day > marks[0].Day
                ? Seen(marks, cap, limitShare)
                : null;
        var until = drift?.Due ?? (marks.Count > 0 && marks[^1].On > cap ? marks[^1].On : cap);
        var looks = new List<DateOnly>();
        for (
            var on = from.AddMonths(InspectMonths);
            on < until || (months is null && on == until);
            on = on.AddMonths(InspectMonths)
        )
            looks.Add(on);
        return months is { } kind
            ? new(until, looks, drift, Words(drift, until, kind))
            : new(null, looks, null, CareDatesWords.NoFaceTookPaste);
    }

    private static List<DriftMark> Marks(IReadOnlyList<Reading> readings, FlowCurve? curve)
    {
        var marks = new List<DriftMark>();
        double? flow = null;
        var first = default(DateOnly);
        foreach (var r in readings.Where(r => r.Phase == Phase.After).OrderBy(r => r.On))
        {
            if (r is not { CoolantC: { } coolant, On: { } on })
                continue;
            var proven = BeforeAfter
                .Compute(null, new SteadyReading(r.DieC, r.RoomC, coolant, r.FlowLMin, r.PowerW, new()))
                .After!;
            if (proven is not { ToInletKPerW: { } k, InletPlusMinus: { } sigma })
                continue;
            if (marks.Count == 0)
                (flow, first) = (r.FlowLMin, on);
            // the block alone explains what another flow does: what is left is the paste's
            if (curve is not null && flow is { } f && r.FlowLMin is { } own)
                k -= PerWatt(curve, own) - PerWatt(curve, f);
            marks.Add(new(on, on.DayNumber - first.DayNumber, k, sigma));
        }
        return marks;
    }

    private static double PerWatt(FlowCurve c, double flow) => c.AKPerW + c.BKPerW * Math.Pow(flow, -c.N);

    private static DriftSeen Seen(List<DriftMark> marks, DateOnly cap, double limitShare)
    {
        var first = marks[0].On;
        var capDays = Math.Max(1, cap.DayNumber - first.DayNumber);
        var line = Prove.Drift.Compute(
            [.. marks.Select(m => new DriftPoint(m.Day, m.KPerW, m.PlusMinus))],
            limitShare: limitShare,
            capDays: capDays
        );
        // what lies behind the last proof is due now
        var last = marks[^1].On;
        DateOnly On(double day) =>
            first.AddDays((int)Math.Round(Math.Clamp(day, 0, capDays))) is var on && on > last ? on : last;
        return new(
            marks,
            line,
            line.StartKPerW * (1 + limitShare),
            On(line.DueDay),
            On(line.DueLowDay),
            On(line.DueHighDay)
        );
    }

    private static Message Words(DriftSeen? drift, DateOnly repaste, int months)
    {
        string Date(DateOnly d) => d.ToString("d MMM yyyy", System.Globalization.CultureInfo.InvariantCulture);
        if (drift is null)
            return CareDatesWords.RepasteOnMonthsByPastesKind(Date(repaste), months);
        var perYear = drift.Line.SlopePerDay * 365.25 / drift.Line.StartKPerW * 100;
        var rise = FormattableString.Invariant($"{Math.Abs(perYear):0} % a year {(perYear >= 0 ? "more" : "less")}");
        if (repaste == drift.Marks[^1].On)
            return CareDatesWords.ProofsDueSinceLastOfThem(drift.Marks.Count, rise, Date(repaste));
        return drift.Line.Capped
            ? CareDatesWords.ProofsLineDoesNotReachLimit(drift.Marks.Count, rise, Date(repaste))
            : CareDatesWords.ProofsRepasteOn(
                drift.Marks.Count,
                rise,
                Date(repaste),
                Date(drift.DueLow),
                Date(drift.DueHigh)
            );
    }
}
