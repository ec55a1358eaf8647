using System.Runtime.CompilerServices;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Prove.Faults;
using FaithfulBracket.Core.Prove.Logs;

namespace FaithfulBracket.Instruments;

/// <summary>What a simulated bench runs: the card as it is expected, what is wrong with it, and the room.</summary>
/// <param name="Faults">None, one, or two at once.</param>
/// <param name="Kind">Of each part of the card.</param>
/// <param name="Speed">Bench seconds in a second of the clock.</param>
public sealed record SimulatedCard(
    FaultBench Bench,
    IReadOnlyList<HiddenFault> Faults,
    HeatConditions At,
    IReadOnlyDictionary<string, PartKind> Kind,
    double RoomC,
    double Speed,
    int Seed
);

/// <summary>
/// A logger on a card that warms up: every sensor settles by one exponential from the room to what the job's own
/// physics and its hidden fault
/// say, with the noise and the steps of a cheap sensor.
/// </summary>
public sealed class SimulatedBench(SimulatedCard scene, TimeProvider time) : IBenchLogger
{
    private const double TauS = 55,
        NoiseK = 0.15,
        StepK = 0.1,
        HotspotShare = 0.14,
        ClockMHz = 2310;

    /// <summary>So long at its limit before a card that cannot hold it switches off, s.</summary>
    private const double PatienceS = 5;

    private readonly BenchRun _run = new(scene.Bench, scene.Faults, scene.At);

    private static readonly TimeSpan Between = TimeSpan.FromMilliseconds(100);

    public string Name => "simulated logger";

    public IReadOnlyList<Channel> Channels { get; } =
    [
        Channel.Die,
        Channel.Hotspot,
        .. Has(scene, PartKind.Memory) ? [Channel.Memory] : Array.Empty<Channel>(),
        .. Has(scene, PartKind.PowerStage) ? [Channel.PowerStages] : Array.Empty<Channel>(),
        Channel.CoolantIn,
        Channel.CoolantOut,
        Channel.Room,
        Channel.Flow,
        Channel.Power,
        Channel.Clock,
    ];

    public async IAsyncEnumerable<LogRow> Rows([EnumeratorCancellation] CancellationToken cancel)
    {
        var perTick = Between.TotalSeconds * scene.Speed;
        var random = new Random(scene.Seed);
        for (var t = 0.0; ; t += perTick)
        {
            yield return Row(t, random);
            await Task.Delay(Between, time, cancel);
        }
    }

    /// <summary>A log of so many seconds at once.</summary>
    public BenchLog Log(double seconds, double everyS = 1)
    {
        var random = new Random(scene.Seed);
        var rows = new List<LogRow>();
        for (var t = 0.0; t <= seconds; t += everyS)
            rows.Add(Row(t, random));
        return new(
            [.. rows.Select(r => r.TS)],
            [.. Channels.Select((c, i) => new LogSeries(c, [.. rows.Select(r => r.Values[i])]))]
        );
    }

    private LogRow Row(double t, Random random)
    {
        double Read(double c, double noise, double step) => Math.Round((c + noise * Gauss(random)) / step) * step;
        // it warms at full power until a part reaches its limit, and stays there or switches off
        var (heat, share) = State(t);
        double Compute(double fullC) => scene.RoomC + (fullC - scene.RoomC) * heat;
        var watts = scene.Bench.Parts.Sum(p => p.Watts) * share;
        var flow =
            scene.At.FlowLMin
            * scene.Faults.Where(f => f.Kind == FaultKind.LowFlow).Select(f => f.Size).Append(1).Min();
        var die = Sensor(PartKind.Die, mean: true) ?? Sensor(PartKind.Lid, mean: true) ?? scene.At.CoolantInC;
        return new(
            Math.Round(t, 3),
            [
                .. Channels.Select(c =>
                    c switch
                    {
                        Channel.Die => Read(Compute(die), NoiseK, StepK),
                        Channel.Hotspot => Read(
                            Compute(die + HotspotShare * (die - scene.At.CoolantInC)),
                            NoiseK,
                            StepK
                        ),
                        Channel.Memory => Read(Compute(Sensor(PartKind.Memory, false)!.Value), NoiseK, StepK),
                        Channel.PowerStages => Read(Compute(Sensor(PartKind.PowerStage, false)!.Value), NoiseK, StepK),
                        Channel.CoolantIn => Read(scene.At.CoolantInC, 0.05, 0.1),
                        Channel.CoolantOut => Read(
                            scene.At.CoolantInC + Coolant.RiseK(watts, flow) * Settled(t),
                            0.05,
                            0.1
                        ),
                        Channel.Room => Read(scene.RoomC, 0.05, 0.1),
                        Channel.Flow => Read(flow, 0.02, 0.01),
                        Channel.Power => Math.Max(0, Read(watts, 0.4, 0.1)),
                        // power goes with the cube of the clock, nearly: voltage falls with it
                        _ => Math.Round(ClockMHz * Math.Cbrt(share)),
                    }
                ),
            ]
        );
    }

    private static double Settled(double t) => 1 - Math.Exp(-t / TauS);

    /// <summary>Of the way from the room to where it would end at full power, and of the power.</summary>
    private (double Heat, double Share) State(double t)
    {
        if (_run.Held is not { LimitC: { } limit } part)
            return (Settled(t), 1);
        var at = Math.Clamp((limit - scene.RoomC) / (_run.FullC(part) - scene.RoomC), 0, 1);
        var reached = at >= 1 ? double.PositiveInfinity : -TauS * Math.Log(1 - at);
        if (t < reached)
            return (Settled(t), 1);
        if (_run.SwitchesOff && t > reached + PatienceS)
            return (at * Math.Exp(-(t - reached - PatienceS) / TauS), 0);
        return (at, _run.Share);
    }

    /// <summary>A sensor of a kind of part at full power: the mean of them, or the hottest.</summary>
    private double? Sensor(PartKind kind, bool mean)
    {
        var temperatures = scene
            .Bench.Parts.Where(p => p.Watts > 0 && scene.Kind.GetValueOrDefault(p.Id) == kind)
            .Select(_run.FullC)
            .ToList();
        return temperatures.Count == 0 ? null
            : mean ? temperatures.Average()
            : temperatures.Max();
    }

    private static bool Has(SimulatedCard scene, PartKind kind) =>
        scene.Bench.Parts.Any(p => p.Watts > 0 && scene.Kind.GetValueOrDefault(p.Id) == kind);

    private static double Gauss(Random random) =>
        Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
}
