namespace FaithfulBracket.Server.Words.Http;

/// <summary>Sentences of json sentences.</summary>
internal static class JsonSentencesWords
{
    public static string TextEndsInMiddleAtLine(long? lineNumber) =>
        $"The text ends in the middle, at line {lineNumber}: what is open is never closed.";

    public static string UnknownFieldRemove(string field) => $"Unknown field \"{field}\": remove it.";

    public static string ValueOfIsOfAnotherKind(string theBody) =>
        $"The value of {theBody} is of another kind than this call takes.";
}
