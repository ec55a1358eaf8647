using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Words.Mount;

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

    /// <summary>How the plate rests after it.</summary>
    internal PlateState? State { get; init; }

    /// <summary>What this screw holds, N; past it, it strips. Null where it was not looked at.</summary>
    public double? HoldsN { get; init; }
    internal bool Strips => LoadN > HoldsN;

    /// <summary>Torque up to where the thread gives, N·m.</summary>
    internal double MostTorqueNm => LoadN > HoldsN ? TorqueNm * HoldsN.Value / LoadN : TorqueNm;

    /// <summary>Pull and torque as they are told.</summary>
    public string LoadText => ClampLoad.InWords(LoadN, HoldsN);
    public string TorqueText => FormattableString.Invariant($"{(Strips ? "over " : "")}{100 * MostTorqueNm:0.0} N·cm");

    /// <summary>What each die under paste carries after this turn.</summary>
    public IReadOnlyList<DieMoment> Dies { get; init; } = [];
}

/// <param name="Edge">Its hardest edge, as it is told.</param>
/// <param name="Over">Whether that is past what it allows.</param>
public sealed record DieMoment(string Part, double LoadN, string Edge, bool Over)
{
    /// <summary>Less than this on a die is nothing, N.</summary>
    private const double MinPressN = 0.5;

    /// <summary>What the plate's screws hold together, N; null where it was not looked at.</summary>
    public double? HoldsN { get; init; }

    /// <summary>Its load as it is told.</summary>
    public string Load => ClampLoad.InWords(LoadN, HoldsN);

    /// <summary>Whether anything presses on it.</summary>
    public bool Pressed => LoadN >= MinPressN;
}

public sealed record Worst(double TiltDeg, double PeakMPa);

/// <param name="Order">Every screw once, plate by plate.</param>
/// <param name="RecommendedTurns">The largest even step that keeps tilt and pressure in bounds.</param>
/// <param name="OneCornerFirst">The same screws with the first turned home at once.</param>
/// <param name="PeakLimitMPa">
/// Least limit of the dies under paste; null where none states one or no die is under paste.
/// </param>
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
    /// <summary>The passes one by one; absent in a record from before they were told.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IReadOnlyList<TighteningPass> PassList { get; init; } = [];

    internal int PassCount => Passes;

    /// <summary>Whether tilt, load and pressure kept their limits in every move.</summary>
    public bool Within { get; init; } = true;

    /// <summary>Whether every screw came home.</summary>
    public bool Home { get; init; } = true;

    /// <summary>The limit that no chain of passes keeps: tilt, load or pressure; null where one does.</summary>
    public string? Broken { get; init; }

    /// <summary>Whether these are the fewest passes that keep every limit.</summary>
    public bool Fewest { get; init; }

    /// <summary>The step the moves were made with: the recommended one, or what somebody chose.</summary>
    public required double TakenTurns { get; init; }

    /// <summary>Both steps as they are said.</summary>
    public string TakenWords => TurnWords.Format(TakenTurns);
    public string RecommendedWords => TurnWords.Format(RecommendedTurns);

    /// <summary>
    /// How far at a time, such as "from two turns down to half a turn"; what is left of the last pass is told at its
    /// step.
    /// </summary>
    public string Pace
    {
        get
        {
            List<double> whole = [.. PassList.SkipLast(1).Select(p => p.Turns)];
            return whole.Count == 0 || whole[0] == whole[^1]
                ? $"{TakenWords} at a time"
                : $"from {TurnWords.Format(whole[0])} down to {TurnWords.Format(whole[^1])}";
        }
    }

    /// <summary>Whether a die lies under paste, so that a pressure at its edge means something.</summary>
    public bool PressesDie { get; init; }

    /// <summary>Which screws strip on the way, in a sentence; null where none does.</summary>
    internal string? Strips
    {
        get
        {
            var over = Moves.Where(m => m.Strips).ToList();
            return over.Count == 0
                ? null
                : ClampLoad.Strips(over.Select(m => m.Hole).Distinct().Count(), over.Min(m => m.HoldsN!.Value));
        }
    }

    /// <summary>What these turns keep, in a sentence.</summary>
    public Message Summary
    {
        get
        {
            var count = FormattableString.Invariant(
                $"{Many(Order.Count, "screw", "screws")} in {Many(Passes, "pass", "passes")}, {Many(Moves.Count, "turn", "turns")}."
            );
            var bounds = FormattableString.Invariant($"tilt under {TiltLimitDeg:0.0}°");
            if (PressesDie && PeakLimitMPa is { } limit)
                bounds += TighteningResultWords.AndDiesEdge(limit);
            if (Strips is { } strips)
                return $"{count} {strips}";
            if (Fewest)
                return Within
                    ? (Message)$"{count} No fewer passes keep {bounds}."
                    : TighteningResultWords.NoPassesKeep(count, Tightening.MaxPasses, BrokenWords);
            if (!RecommendedKeepsBounds)
                return TighteningResultWords.NoEvenStepKeeps(count, bounds, Worst.TiltDeg);
            return TakenTurns == RecommendedTurns
                ? TighteningResultWords.LargestEvenStepThatKeeps(count, bounds)
                : TighteningResultWords.RecommendedIsLargestEvenStep(count, RecommendedWords, bounds);
        }
    }

    private string BrokenWords =>
        Broken switch
        {
            "load" => TighteningResultWords.LoadWithinPartsLimit,
            "pressure" => TighteningResultWords.PressureAtDiesEdgeWithinLimit,
            _ => FormattableString.Invariant($"tilt under {TiltLimitDeg:0.0}°"),
        };

    /// <summary>
    /// Whether the recommended step stays in bounds all the way; the least step is recommended when none does.
    /// </summary>
    public bool RecommendedKeepsBounds { get; init; } = true;

    /// <summary>Why the order is as it is, in a sentence.</summary>
    public string WhyThisOrder =>
        !PressesDie ? TighteningResultWords.NoDieLiesUnderThisBlock(OneCornerFirst?.TiltDeg ?? 0)
        : OneCornerFirst is { } corner
        && Worst.PeakMPa > 0
        && EdgePressure.Check(corner.PeakMPa, PeakLimitMPa) == Boards.Bow.Validity.Ok
        && corner.PeakMPa >= 1.5 * Worst.PeakMPa
            ? TighteningResultWords.DieRingGoesInCrossThen(corner.PeakMPa / Worst.PeakMPa)
        : OneCornerFirst is { } hard && EdgePressure.Check(hard.PeakMPa, PeakLimitMPa) == Boards.Bow.Validity.Outside
            ? TighteningResultWords.DieRingGoesInCrossThenOutward
        : TighteningResultWords.DieRingGoesInCrossThenOutwardSoThatNoCorner;

    /// <summary>
    /// The worst edge pressure of this order, and with one corner first, as it is told; null where no die is pressed.
    /// </summary>
    public string? WorstEdge => PressesDie ? EdgePressure.InWords(Worst.PeakMPa, PeakLimitMPa) : null;
    public string? CornerEdge =>
        PressesDie && OneCornerFirst is { } c ? EdgePressure.InWords(c.PeakMPa, PeakLimitMPa) : null;

    private static string Many(int n, string one, string more) => $"{n} {(n == 1 ? one : more)}";
}
