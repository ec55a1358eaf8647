namespace FaithfulBracket.Core.Schedule;

/// <summary>When the shop works. Minutes of work run from one day's closing to the next one's opening without a gap.</summary>
/// <param name="FromH">Hour at which work begins.</param>
/// <param name="ToH">Hour at which it ends; later than <paramref name="FromH"/>.</param>
/// <param name="DaysAWeek">Days of work in a week, from Monday.</param>
/// <param name="Today">The day whose opening is minute 0.</param>
public sealed record ShopHours(double FromH, double ToH, int DaysAWeek, DateOnly Today)
{
    /// <summary>A day that closes before it opens is taken as this long.</summary>
    private const double MinMinutes = 60;

    /// <summary>Longest way ahead that is looked for.</summary>
    private const int MaxDays = 400;

    /// <summary>Minutes of work in a day.</summary>
    public double DayMinutes => Math.Max(MinMinutes, (ToH - FromH) * 60);

    public bool Works(DateOnly day) => (int)(day.DayOfWeek + 6) % 7 < DaysAWeek;

    public DateTime Opens(DateOnly day) => day.ToDateTime(TimeOnly.MinValue).AddHours(FromH);

    public DateTime Closes(DateOnly day) => Opens(day).AddMinutes(DayMinutes);

    /// <summary>Minutes of work from today's opening; before it the time itself, below 0.</summary>
    /// <param name="at">On the shop's own clock.</param>
    public double ToMinutes(DateTime at)
    {
        if (at < Opens(Today))
            return (at - Opens(Today)).TotalMinutes;
        var minutes = 0.0;
        var day = Today;
        for (var i = 0; i < MaxDays && day < DateOnly.FromDateTime(at); i++, day = day.AddDays(1))
            minutes += Works(day) ? DayMinutes : 0;
        return minutes + (Works(day) ? Math.Clamp((at - Opens(day)).TotalMinutes, 0, DayMinutes) : 0);
    }

    /// <summary>The clock at a minute of work.</summary>
    /// <param name="start">At a day's end: whether the next day's opening is meant, as for something that begins.</param>
    public DateTime ToClock(double minute, bool start)
    {
        if (minute < 0)
            return Opens(Today).AddMinutes(minute);
        var day = Today;
        for (var i = 0; i < MaxDays; i++, day = day.AddDays(1))
        {
            if (!Works(day))
                continue;
            if (minute < DayMinutes - 1e-6 || !start && minute <= DayMinutes + 1e-6)
                return Opens(day).AddMinutes(minute);
            minute = Math.Max(0, minute - DayMinutes);
        }
        return Opens(day);
    }
}
