namespace FaithfulBracket.Core.Words.Plans;

/// <summary>Sentences of signed basis.</summary>
internal static class SignedBasisWords
{
    public static string WasThereIsNoneNow(string role, string d) => $"The {role} was {d}; there is none now.";

    public static string WasNowIt(string role, string d, string stands) => $"The {role} was {d}, now it is {stands}.";

    public static string DocumentOfChanged(string role, string d) => $"The document of {role} {d} changed.";
}
