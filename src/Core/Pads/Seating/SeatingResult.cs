using FaithfulBracket.Core.Blocks;

namespace FaithfulBracket.Core.Pads.Seating;

/// <summary>A pad laid on a part.</summary>
public sealed record LaidPad(string Part, double ThicknessMm, string Material)
{
    /// <summary>Key of the board the part is on; null for the first of the order.</summary>
    public string? Board { get; init; }
}

/// <summary>The film over one die.</summary>
/// <param name="BondLinesUm">At the corners (−,−), (+,−), (+,+), (−,+) of the part's frame, µm.</param>
/// <param name="PeakMPa">Highest local pressure, at the thinnest corner.</param>
public sealed record DieContact(
    string Part,
    IReadOnlyList<double> BondLinesUm,
    double LoadN,
    double PeakMPa,
    double? MaxLoadN,
    double? MaxPressureMPa
)
{
    /// <summary>What the screws hold together, N; null where it was not looked at.</summary>
    public double? HoldsN { get; init; }

    /// <summary>Whether its load cannot be told: nobody has looked at the springs that press it.</summary>
    public bool LoadUnknown { get; init; }

    /// <summary>Its load as it is told.</summary>
    public string LoadText => LoadUnknown ? UnknownSprings.NotStated : ClampLoad.InWords(LoadN, HoldsN);

    /// <summary>Its hardest edge as it is told.</summary>
    public string EdgeText => LoadUnknown ? UnknownSprings.NotStated : EdgePressure.InWords(PeakMPa, MaxPressureMPa);
}

public sealed record PadContact(string Part, double Squash, double LoadN);

public sealed record ScrewLoad(string Hole, double LoadN)
{
    /// <summary>What this screw holds, N; null where it was not looked at.</summary>
    public double? HoldsN { get; init; }
}

/// <param name="TiltDeg">Right-handed turns about x and y, degrees.</param>
/// <param name="Floats">Whether a corner's film is thicker than allowed: the pads hold the block off the die.</param>
public sealed record SeatingResult(
    IReadOnlyList<DieContact> Dies,
    IReadOnlyList<double> TiltDeg,
    IReadOnlyList<PadContact> Pads,
    IReadOnlyList<ScrewLoad> Screws,
    bool Floats,
    double PlaneMm,
    Message Why
)
{
    /// <summary>What strips push back with where they lie between two parts, N; null where none does.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double? BridgesN { get; init; }

    /// <summary>Whether what presses the dies cannot be told, and with it no film.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool LoadUnknown => Dies.Any(d => d.LoadUnknown);

    /// <summary>Whether a screw would strip before the block is home.</summary>
    public bool ScrewsStrip => Screws.Any(s => s.LoadN > s.HoldsN);
}
