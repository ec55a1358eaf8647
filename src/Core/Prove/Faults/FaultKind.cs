namespace FaithfulBracket.Core.Prove.Faults;

/// <summary>What can be wrong when a card runs at something else than expected.</summary>
public enum FaultKind
{
    None,
    FilmLeft,
    PadMissing,
    PadThin,
    PasteVoid,
    Tilt,
    Floats,
    LowFlow,
    Air,
    PumpOut,
    Misread,
}

/// <summary>How often each is met before anything is read, and the sizes it is looked for in. Working defaults of the shop.</summary>
/// <param name="Prior">Over all parts it can sit at, together.</param>
/// <param name="Unit">Of its size, in words.</param>
public sealed record FaultPrior(FaultKind Kind, double Prior, double Least, double Most, string Unit);

public static class FaultPriors
{
    public static readonly IReadOnlyList<FaultPrior> Default =
    [
        new(FaultKind.None, 0.5, 0, 0, ""),
        new(FaultKind.FilmLeft, 0.12, 0.03, 0.12, "mm of film"),
        new(FaultKind.PadMissing, 0.06, 1, 1, ""),
        new(FaultKind.PadThin, 0.08, 0.2, 0.6, "mm too thin"),
        new(FaultKind.PasteVoid, 0.05, 0.05, 0.4, "of the face bare"),
        new(FaultKind.Tilt, 0.04, 0.05, 0.4, "° of tilt"),
        new(FaultKind.Floats, 0.05, 0.05, 0.4, "mm too high"),
        new(FaultKind.LowFlow, 0.04, 0.15, 0.8, "of the flow that is believed"),
        new(FaultKind.Air, 0.02, 0.1, 0.6, "of the fins in air"),
        new(FaultKind.PumpOut, 0.02, 0.3, 3, "times more film resistance"),
        new(FaultKind.Misread, 0.02, 3, 20, "K or % read wrong"),
    ];
}
