using FaithfulBracket.Core.Prove.Logs;

namespace FaithfulBracket.Instruments;

/// <param name="TS">Seconds since the log began.</param>
/// <param name="Values">One for each channel of the logger; NaN where it has none.</param>
public sealed record LogRow(double TS, IReadOnlyList<double> Values);

/// <summary>A logger on the bench: temperatures, flow, power and clock, row by row while the card runs.</summary>
public interface IBenchLogger
{
    string Name { get; }

    IReadOnlyList<Channel> Channels { get; }

    /// <summary>Rows from now on, until cancelled.</summary>
    IAsyncEnumerable<LogRow> Rows(CancellationToken cancel);
}
