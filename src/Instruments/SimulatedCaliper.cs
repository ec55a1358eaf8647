namespace FaithfulBracket.Instruments;

/// <summary>A caliper whose jaws are set on a panel; it reads with a hand's and a display's error.</summary>
public sealed class SimulatedCaliper(int seed) : ICaliper
{
    public const double ResolutionMm = 0.01;

    /// <summary>How well a hand closes jaws on a small part, 1σ, mm.</summary>
    public const double HandSigmaMm = 0.01;

    private readonly Broadcast<CaliperReading> _sent = new();
    private readonly Random _random = new(seed);
    private readonly Lock _gate = new();

    public string Name => "simulated caliper";

    /// <summary>Closes the jaws on something this wide and presses the data key.</summary>
    public CaliperReading Press(double widthMm)
    {
        double error;
        lock (_gate)
            error =
                HandSigmaMm
                * Math.Sqrt(-2 * Math.Log(1 - _random.NextDouble()))
                * Math.Cos(2 * Math.PI * _random.NextDouble());
        var reading = new CaliperReading(
            Math.Max(0, Math.Round((widthMm + error) / ResolutionMm) * ResolutionMm),
            ResolutionMm
        );
        _sent.Send(reading);
        return reading;
    }

    public IAsyncEnumerable<CaliperReading> Readings(CancellationToken cancel) => _sent.Listen(cancel);
}
