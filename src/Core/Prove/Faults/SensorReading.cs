namespace FaithfulBracket.Core.Prove.Faults;

/// <summary>Whether a sensor shows the mean of its parts or the hottest of them.</summary>
public enum SensorKind
{
    Mean,
    Max,
}

/// <summary>What one sensor showed.</summary>
/// <param name="Parts">The parts it is said to read.</param>
/// <param name="SigmaK">One standard deviation of the reading.</param>
public sealed record SensorReading(IReadOnlyList<string> Parts, SensorKind Kind, double C, double SigmaK);

public sealed record SensorExpected(IReadOnlyList<string> Parts, double C);

/// <summary>What a fault adds at one sensor.</summary>
public sealed record SensorEffect(IReadOnlyList<string> Parts, double K);
