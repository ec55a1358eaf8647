namespace FaithfulBracket.Core.Words.Prove.Faults;

/// <summary>Sentences of fault kind.</summary>
internal static class FaultKindWords
{
    public const string OfFaceBare = "of the face bare";

    public const string OfFlowThatIsBelieved = "of the flow that is believed";

    public const string OfFinsInAir = "of the fins in air";

    public const string TimesMoreFilmResistance = "times more film resistance";
}
