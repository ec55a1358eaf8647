namespace FaithfulBracket.Core.Mount;

/// <summary>One turn of one screw and what it does.</summary>
/// <param name="Plate">The plate it holds.</param>
/// <param name="Turns">Turns made, clockwise seen on the head.</param>
/// <param name="LoadN">Pull of this screw afterwards, N.</param>
/// <param name="TiltDeg">Angle between plate and board, degrees.</param>
/// <param name="PeakMPa">Highest pressure at a die's edge.</param>
/// <param name="FilmUm">Thinnest and thickest film at a die corner.</param>
/// <param name="Home">Whether this turn brings the screw home.</param>
public sealed record TighteningMove(
    string Hole,
    int Pass,
    double Turns,
    double LoadN,
    double TorqueNm,
    double TiltDeg,
    double PeakMPa,
    double AdvanceMm,
    IReadOnlyList<double> FilmUm
)
{
    public required string Plate { get; init; }
    public bool Home { get; init; }
}

public sealed record Worst(double TiltDeg, double PeakMPa);

/// <param name="Order">Every screw once, plate by plate.</param>
/// <param name="RecommendedTurns">The largest even step that keeps tilt and pressure in bounds.</param>
/// <param name="OneCornerFirst">The same screws with the first turned home at once.</param>
/// <param name="PeakLimitMPa">Least limit of the dies under paste; null where none states one or no die is under paste.</param>
public sealed record TighteningResult(
    IReadOnlyList<string> Order,
    IReadOnlyList<TighteningMove> Moves,
    Worst Worst,
    double RecommendedTurns,
    int Passes,
    double TiltLimitDeg,
    double? PeakLimitMPa,
    Worst? OneCornerFirst
)
{
    /// <summary>The step the moves were made with: the recommended one, or what somebody chose.</summary>
    public required double TakenTurns { get; init; }

    /// <summary>Both steps as they are said.</summary>
    public string TakenWords => TurnWords.Of(TakenTurns);
    public string RecommendedWords => TurnWords.Of(RecommendedTurns);

    /// <summary>Whether a die lies under paste, so that a pressure at its edge means something.</summary>
    public bool PressesDie { get; init; }
}
