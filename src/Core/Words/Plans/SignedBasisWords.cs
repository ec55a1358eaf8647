namespace FaithfulBracket.Core.Words.Plans;

/// <summary>Sentences of signed basis.</summary>
internal static class SignedBasisWords
{
    public static Message WasThereIsNoneNow(string role, string id) => $"The {role} was {id}; there is none now.";

    public static Message WasNowIt(string role, string then, string now) => $"The {role} was {then}, now it is {now}.";

    public static Message DocumentOfChanged(string role, string id) => $"The document of {role} {id} changed.";
}
