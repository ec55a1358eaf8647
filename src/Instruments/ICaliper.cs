namespace FaithfulBracket.Instruments;

/// <param name="Mm">What the display shows, mm.</param>
/// <param name="ResolutionMm">One step of the display, mm.</param>
public readonly record struct CaliperReading(double Mm, double ResolutionMm);

/// <summary>A caliper with a data key: each press sends what its display shows.</summary>
public interface ICaliper
{
    string Name { get; }

    /// <summary>Readings from now on, until cancelled.</summary>
    IAsyncEnumerable<CaliperReading> Readings(CancellationToken cancel);
}
