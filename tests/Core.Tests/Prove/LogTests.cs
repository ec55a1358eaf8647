using System.Globalization;
using System.Text;
using CsCheck;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Core.Prove.Logs;
using FaithfulBracket.Formats.Logs;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Logs: read from any table, settled, throttled, cut, thinned, packed.</summary>
public class LogTests
{
    private static BenchLog Settling(
        double seconds,
        double everyS = 1,
        double tauS = 60,
        double noise = 0.1,
        Func<double, double>? clock = null,
        Func<double, double>? extra = null
    )
    {
        var random = new Random(7);
        double Gauss() =>
            Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
        double[] times = [.. Enumerable.Range(0, (int)(seconds / everyS)).Select(i => i * everyS)];
        return new(
            times,
            [
                new(
                    Channel.Die,
                    [.. times.Select(t => 60 - 38 * Math.Exp(-t / tauS) + noise * Gauss() + (extra?.Invoke(t) ?? 0))]
                ),
                new(Channel.CoolantIn, [.. times.Select(_ => 30.0)]),
                new(Channel.Room, [.. times.Select(_ => 21.5)]),
                new(Channel.Power, [.. times.Select(_ => 240.0)]),
                new(Channel.Clock, [.. times.Select(t => clock?.Invoke(t) ?? 2300)]),
            ]
        );
    }

    [Fact]
    public void A_log_that_still_rises_says_how_long_and_one_that_has_settled_says_where()
    {
        var early = LogReading.Judge(Settling(70), 95);
        Assert.Null(early.SteadyFromS);
        Assert.StartsWith("Wait", early.Text, StringComparison.Ordinal);
        var late = LogReading.Judge(Settling(900), 95);
        // 38 K fall within half a kelvin after τ·ln(76) = 260 s
        Assert.InRange(late.SteadyFromS!.Value, 200, 320);
        Assert.Equal(60, late.Means.First(m => m.Channel == Channel.Die).Mean, 0.15);
        Assert.Equal(60, late.Steady!.SteadyC, 0.15);
        Assert.Equal(240, late.Means.First(m => m.Channel == Channel.Power).Mean, 9);
        var reading = LogToReading.Convert(late, Phase.After, null, null);
        Assert.Equal(
            (60, 240, 21.5, 30),
            (Math.Round(reading.DieC), reading.PowerW, reading.RoomC, reading.CoolantC!.Value)
        );
        Assert.Throws<InputException>(() => LogToReading.Convert(early, Phase.After, null, null));
    }

    [Fact]
    public void A_clock_that_falls_while_the_die_stands_at_its_limit_is_throttled_and_one_that_falls_when_cool_is_not()
    {
        // from 500 to 560 s 20 % less, the die at 60 of 61 °C
        var held = Settling(900, clock: t => t is >= 500 and < 560 ? 1840 : 2300);
        var span = Assert.Single(LogReading.Judge(held, 61).Throttled);
        Assert.InRange(span.FromS, 499, 501);
        Assert.InRange(span.ToS, 558, 560);
        Assert.Equal(0.8, span.ClockShare, 3);
        Assert.Empty(LogReading.Judge(held, 95).Throttled);
        Assert.Empty(LogReading.Judge(held, null).Throttled);
    }

    [Fact]
    public void A_change_of_load_cuts_the_log_and_only_the_last_stretch_counts()
    {
        var stepped = Settling(1800, extra: t => t > 900 ? 12 * (1 - Math.Exp(-(t - 900) / 60)) : 0);
        var verdict = LogReading.Judge(stepped, null);
        Assert.True(verdict.Steady!.Regimes.Count > 1);
        Assert.Equal(72, verdict.Means.First(m => m.Channel == Channel.Die).Mean, 0.2);
        Assert.Contains("changed", verdict.Text, StringComparison.Ordinal);
    }

    [Fact]
    public void A_pause_of_the_logger_is_a_gap()
    {
        var whole = Settling(900);
        var keep = Enumerable.Range(0, 900).Where(i => i is < 300 or > 360).ToList();
        var cut = new BenchLog(
            [.. keep.Select(i => whole.TimesS[i])],
            [.. whole.Series.Select(s => s with { Values = [.. keep.Select(i => s.Values[i])] })]
        );
        var gap = Assert.Single(LogReading.Judge(cut, null).Gaps);
        Assert.Equal((299, 361), (gap.FromS, gap.ToS));
        Assert.Empty(LogReading.Judge(whole, null).Gaps);
    }

    [Fact]
    public void Thinned_for_drawing_no_peak_is_lost()
    {
        Gen.Select(Gen.Double[-50, 150].Array[2000, 20_000], Gen.Int[40, 600])
            .Sample(
                (values, points) =>
                {
                    var log = new BenchLog([.. values.Select((_, i) => (double)i)], [new(Channel.Die, values)]);
                    var thin = LogThinning.Thin(log, points);
                    Assert.InRange(thin.TimesS.Count, 1, points + 2);
                    Assert.Equal(values.Max(), thin.Series[0].Values.Max());
                    Assert.Equal(values.Min(), thin.Series[0].Values.Min());
                    Assert.True(thin.TimesS.Zip(thin.TimesS.Skip(1)).All(p => p.First <= p.Second));
                },
                iter: 60
            );
    }

    [Fact]
    public void Packed_and_unpacked_it_is_the_same_log_to_what_a_sensor_tells()
    {
        var log = Settling(600, 0.1);
        var packed = LogPack.Pack(log);
        var back = LogPack.Unpack(packed);
        Assert.Equal(log.TimesS.Count, back.TimesS.Count);
        Assert.All(log.TimesS.Zip(back.TimesS), p => Assert.Equal(p.First, p.Second, 3));
        Assert.All(
            log.Series.Zip(back.Series),
            s =>
            {
                Assert.Equal(s.First.Channel, s.Second.Channel);
                Assert.All(s.First.Values.Zip(s.Second.Values), v => Assert.Equal(v.First, v.Second, 1e-5 * 64));
            }
        );
        // half of what four bytes a figure would take, or less
        Assert.True(packed.Length < log.TimesS.Count * (log.Series.Count + 1) * 2);
        Assert.Throws<InvalidDataException>(() => LogPack.Unpack(packed[..(packed.Length / 2)]));
    }

    private static BenchLog Read(string text, out LogLook look)
    {
        var csv = new LogCsv(Encoding.UTF8.GetBytes(text));
        look = csv.Look(null);
        return csv.Read([.. look.Columns.Select(c => c.Guess).OfType<LogColumn>()]);
    }

    [Theory]
    [InlineData("time (s),die (°C),flow (L/min)\n0,40.5,3\n1,41.5,3.2\n")]
    [InlineData("Zeit;x\n\ntime (s);die (°C);flow (L/min)\n0;40,5;3\n1;41,5;3,2\n")]
    [InlineData("\uFEFFtime [ms]\tdie temp\tflow (L/h)\r\n0\t40.5\t180\r\n1000\t41.5\t192\r\n")]
    [InlineData("when,die (°F),flow\n12:00:00,104.9,3\n12:00:01,106.7,3.2\n")]
    [InlineData(
        "\"when\",\"die\",\"flow\"\n\"2026-03-01T23:59:59Z\",\"40.5\",\"3\"\n\"2026-03-02T00:00:00Z\",\"41.5\",\"3.2\"\n"
    )]
    [InlineData("time (s),GPU load %,fan rpm,die under load (°C),flow\n0,99,900,40.5,3\n1,99,900,41.5,3.2\n")]
    [InlineData("time\tdie\tflow\n[s]\t[degC]\t[L/min]\n0\t40.5\t3\n1\t41.5\t3.2\n")]
    [InlineData(
        "Datum;Zeit;GPU [°C];GPU Last [%];Durchfluss [l/h]\n03.11.2026;09:58:00;40,5;7;180\n03.11.2026;09:58:01;41,5;9;192\n"
    )]
    [InlineData(
        "\"Stamp\",\"Die, \"\"hot\"\", C\",\"Flow, L/min\"\n31/12/2026 11:59:59 PM,40.5,3\n1/1/2027 12:00:00 AM,41.5,3.2\n"
    )]
    [InlineData("stamp,die,flow\n12/31/2026 23:59:59.5,40.5,3\n01/01/2027 00:00:00.5,41.5,3.2\n")]
    public void However_it_is_written_it_is_the_same_log(string text)
    {
        var log = Read(text, out _);
        Assert.Equal([0, 1], log.TimesS.Select(t => Math.Round(t, 6)));
        Assert.Equal([40.5, 41.5], log.Compute(Channel.Die)!.Select(v => Math.Round(v, 6)));
        Assert.Equal([3, 3.2], log.Compute(Channel.Flow)!.Select(v => Math.Round(v, 6)));
    }

    [Fact]
    public void Midnight_comes_once_and_empty_cells_are_no_zeros()
    {
        var log = Read("clock time,die,memory\n23:59:58,50,\n23:59:59,51,40\n00:00:01,52,n/a\n", out var look);
        Assert.Equal([0, 1, 3], log.TimesS);
        Assert.Equal([true, false, true], log.Compute(Channel.Memory)!.Select(double.IsNaN));
        Assert.Equal(LogUnit.ClockTime, look.Columns[0].Guess!.Unit);
    }

    [Theory]
    [InlineData("time,die\n0,40\n1,warm\n", "line 3")]
    [InlineData("time,die\n0,40\n5,41\n2,42\n", "goes back")]
    [InlineData("nothing here\nat all\n", "No header")]
    public void A_bad_table_is_refused_with_the_line(string text, string says)
    {
        var e = Assert.Throws<InputException>(() => Read(text, out _));
        Assert.Contains(says, e.Message, StringComparison.Ordinal);
    }

    [Fact]
    public void An_hour_at_ten_a_second_of_nine_sensors_is_read_whole()
    {
        var text = new StringBuilder(
            "time (s),die,hotspot,memory,power stages,coolant in,coolant out,room,flow,power (W)\n"
        );
        for (var i = 0; i < 36_000; i++)
            text.AppendLine(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"{i / 10.0:0.0},{60 - 38 * Math.Exp(-i / 600.0):0.00},66,50,70,30,31.4,21.5,3.0,240"
                )
            );
        var log = Read(text.ToString(), out var look);
        Assert.Equal((36_000, 9), (log.TimesS.Count, log.Series.Count));
        Assert.Equal(36_000, look.Rows);
        Assert.Equal(60, LogReading.Judge(log, 95).Steady!.SteadyC, 0.05);
    }
}
