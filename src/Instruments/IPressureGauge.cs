using FaithfulBracket.Core.Prove;

namespace FaithfulBracket.Instruments;

/// <summary>A gauge on the closed loop, with the temperature of the air in it.</summary>
public interface IPressureGauge
{
    string Name { get; }

    /// <summary>Samples from now on, until cancelled; seconds count from the first.</summary>
    IAsyncEnumerable<PressureSample> Samples(CancellationToken cancel);
}
