using System.Runtime.CompilerServices;
using FaithfulBracket.Core.Prove;

namespace FaithfulBracket.Instruments;

/// <param name="LeakMlPerMin">At ambient pressure; 0 for a tight loop.</param>
/// <param name="Speed">Loop seconds in a second of the clock.</param>
public sealed record LoopScene(double VolumeMl, double GaugeKPa, double LeakMlPerMin, double Speed, int Seed);

/// <summary>A gauge on a closed loop in a room that slowly warms, with the weather's pressure beside it.</summary>
public sealed class SimulatedGauge(LoopScene scene, TimeProvider time) : IPressureGauge
{
    private const double AmbientKPa = 101.3,
        ZeroC = 273.15,
        StartC = 22,
        EndC = 22.6,
        RoomTauS = 900,
        NoiseKPa = 0.02,
        StepKPa = 0.01;

    private static readonly TimeSpan Between = TimeSpan.FromMilliseconds(200);

    public string Name => "simulated gauge";

    public async IAsyncEnumerable<PressureSample> Samples([EnumeratorCancellation] CancellationToken cancel)
    {
        var random = new Random(scene.Seed);
        for (var t = 0.0; ; t += Between.TotalSeconds * scene.Speed)
        {
            yield return At(t, random);
            await Task.Delay(Between, time, cancel);
        }
    }

    /// <summary>What it shows after so many seconds.</summary>
    public PressureSample At(double t, Random random)
    {
        var temperature = StartC + (EndC - StartC) * (1 - Math.Exp(-t / RoomTauS));
        // the weather moves slowly, and the gauge reads against it
        var ambient = AmbientKPa + 0.05 * Math.Sin(t / 1700);
        var lost = scene.LeakMlPerMin * t / 60 * AmbientKPa / scene.VolumeMl;
        var absolute = (scene.GaugeKPa + AmbientKPa - lost) * (temperature + ZeroC) / (StartC + ZeroC);
        double Read(double v, double noise, double step) =>
            Math.Round(
                (
                    v
                    + noise
                        * Math.Sqrt(-2 * Math.Log(1 - random.NextDouble()))
                        * Math.Cos(2 * Math.PI * random.NextDouble())
                ) / step
            ) * step;
        return new(
            Math.Round(t, 3),
            Read(absolute - ambient, NoiseKPa, StepKPa),
            Read(temperature, 0.03, 0.1),
            Read(ambient, 0.005, 0.01)
        );
    }
}
