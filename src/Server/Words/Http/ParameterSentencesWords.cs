namespace FaithfulBracket.Server.Words.Http;

/// <summary>Sentences of parameter sentences.</summary>
internal static class ParameterSentencesWords
{
    public static string CallNeedsAnd(string name) => $"The call needs ?{name}=…, and it is not there.";

    public static string CallNeedsHeader(string name) => $"The call needs the header {name}, and it is not there.";
}
