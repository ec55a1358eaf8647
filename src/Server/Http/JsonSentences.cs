using System.Text.Json;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Words.Http;

namespace FaithfulBracket.Server.Http;

/// <summary>What the reader of a body says of it, in words for whoever sent it: it speaks of types otherwise.</summary>
internal static class JsonSentences
{
    public static string Describe(JsonException e)
    {
        var said = e.Message.Split(" Path:", 2)[0].Split(" The JSON value", 2)[0];
        bool Says(string words) => said.Contains(words, StringComparison.Ordinal);
        var field = Pointer(e.Path).Split('/')[^1];
        if (JsonInput.CutOffWords.Any(Says))
            return JsonSentencesWords.TextEndsInMiddleAtLine(e.LineNumber + 1);
        if (Says("could not be mapped"))
            return JsonSentencesWords.UnknownFieldRemove(field);
        if (Says("missing required properties"))
            return $"Missing: {said[(said.LastIndexOf(':') + 1)..].Trim(' ', '.').Replace('\'', '"')}.";
        return Says("could not be converted")
            ? JsonSentencesWords.ValueOfIsOfAnotherKind(field.Length > 0 ? $"\"{field}\"" : "the body")
            : said;
    }

    /// <summary>$.a.b[3] as /a/b/3.</summary>
    public static string Pointer(string? path) =>
        (path ?? "$")
            .TrimStart('$')
            .Replace('.', '/')
            .Replace("[", "/", StringComparison.Ordinal)
            .Replace("]", "", StringComparison.Ordinal);
}
