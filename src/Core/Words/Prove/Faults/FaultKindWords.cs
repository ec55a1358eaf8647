namespace FaithfulBracket.Core.Words.Prove.Faults;

/// <summary>Sentences of fault kind.</summary>
internal static class FaultKindWords
{
    public static Message OfFaceBare => $"of the face bare";

    public static Message OfFlowThatIsBelieved => $"of the flow that is believed";

    public static Message OfFinsInAir => $"of the fins in air";

    public static Message TimesMoreFilmResistance => $"times more film resistance";
}
