using System.Text.Json.Serialization;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match;

public enum Verdict
{
    Seats,
    SeatsWithWork,
    Unproven,
    Clashes,
}

/// <summary>One judgement in a sentence, with what it speaks of.</summary>
/// <param name="Code">Stable short name of the judgement.</param>
/// <param name="Text">The sentence, with its figures.</param>
/// <param name="Refs">Ids of the parts, holes or lands it is about.</param>
public sealed record Reason(string Code, Message Text, IReadOnlyList<string> Refs)
{
    /// <summary>How far it moves the verdict.</summary>
    public Weight Weight { get; init; }
}

/// <summary>Share of a hot part's top under its land.</summary>
public sealed record Coverage(string Part, string? Land, double Share);

/// <summary>A stick-on sink for a part the block leaves alone.</summary>
/// <param name="TemperatureC">Expected in the stated air, °C.</param>
public sealed record PassiveSink(
    string Part,
    double WidthMm,
    double DepthMm,
    double HeightMm,
    double TemperatureC,
    double? LimitC
)
{
    /// <summary>Sink to air, K/W.</summary>
    [JsonIgnore]
    public double RKPerW { get; init; }

    /// <summary>Air that the temperature is told in, °C.</summary>
    [JsonIgnore]
    public double AirC { get; init; }

    /// <summary>Whether it lies a quarter turn round on its part.</summary>
    [JsonIgnore]
    public bool Turned { get; init; }
}

/// <summary>The answer to "does this block seat on this board".</summary>
public sealed record FitResult
{
    public required Verdict Verdict { get; init; }
    public required EvidenceGrade Grade { get; init; }

    /// <summary>The verdict in a few words for the route.</summary>
    public required Message Summary { get; init; }

    /// <summary>Height of the reference plane above the board, mm; null when nothing fixes it.</summary>
    public double? PlaneMm { get; init; }
    public required Placement Placement { get; init; }

    /// <summary>Largest miss/slack of a required screw.</summary>
    public required double MissRatio { get; init; }
    public required IReadOnlyList<ScrewFit> Screws { get; init; }
    public required IReadOnlyList<PartMargin> Clashes { get; init; }
    public required IReadOnlyList<PartMargin> Tight { get; init; }

    /// <summary>Every unpaired part under the plate with its room, least first.</summary>
    public required IReadOnlyList<PartMargin> Margins { get; init; }
    public required IReadOnlyList<string> Uncovered { get; init; }
    public required IReadOnlyList<Coverage> Coverage { get; init; }
    public required IReadOnlyList<PassiveSink> Sinks { get; init; }
    public required double ChanceOfSeating { get; init; }
    public required IReadOnlyList<Reason> Reasons { get; init; }
}

/// <param name="BondLineMm">Bond line calculated with over the die, mm.</param>
/// <param name="MinClearanceMm">Less room than this is tight, mm.</param>
/// <param name="Seed">Seed of the draws for measured boards.</param>
/// <param name="AirC">Air around passive sinks, °C.</param>
/// <param name="Passes">A measured board seats from this chance on.</param>
/// <param name="Fails">It clashes below this chance; between the two it is unproven.</param>
public sealed record FitSettings(
    double BondLineMm = PlaneHeight.DefaultBondLineMm,
    double MinClearanceMm = 0.3,
    ulong Seed = 1,
    double AirC = 40,
    double Passes = SeatingChance.Passes,
    double Fails = SeatingChance.Fails
)
{
    /// <summary>As the shop judges.</summary>
    public static FitSettings From(Orders.ShopSettings shop) =>
        new(MinClearanceMm: shop.MinClearanceMm, Passes: shop.SeatingPasses, Fails: shop.SeatingFails);
}
