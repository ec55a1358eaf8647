using FaithfulBracket.Core.Mount;

namespace FaithfulBracket.Instruments;

/// <summary>A driver that tells how far it has turned and how hard it turns, many times a second while it is turned.</summary>
public interface ITorqueDriver
{
    string Name { get; }

    /// <summary>Samples from now on, until cancelled; angle counts from the start of each turn.</summary>
    IAsyncEnumerable<DriverSample> Samples(CancellationToken cancel);
}
