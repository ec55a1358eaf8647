using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Prove.Faults;

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
    /// <summary>The working defaults.</summary>
    public static readonly IReadOnlyList<FaultPrior> Default = From(new());

    /// <summary>Every kind with its share and the sizes it is looked for in.</summary>
    public static IReadOnlyList<FaultPrior> From(FaultShares met) =>
        [
            new(FaultKind.None, met.Nothing, 0, 0, ""),
            new(FaultKind.FilmLeft, met.FilmLeft, 0.03, 0.12, "mm of film"),
            new(FaultKind.PadMissing, met.PadMissing, 1, 1, ""),
            new(FaultKind.PadThin, met.PadThin, 0.2, 0.6, "mm too thin"),
            new(FaultKind.PasteVoid, met.PasteVoid, 0.05, 0.4, FaultKindWords.OfFaceBare),
            new(FaultKind.Tilt, met.Tilt, 0.05, 0.4, "° of tilt"),
            new(FaultKind.Floats, met.Floats, 0.05, 0.4, "mm too high"),
            new(FaultKind.LowFlow, met.LowFlow, 0.15, 0.8, FaultKindWords.OfFlowThatIsBelieved),
            new(FaultKind.Air, met.Air, 0.1, 0.6, FaultKindWords.OfFinsInAir),
            new(FaultKind.PumpOut, met.PumpedOut, 0.3, 3, FaultKindWords.TimesMoreFilmResistance),
            new(FaultKind.Misread, met.Misread, 3, 20, "K or % read wrong"),
        ];
}
