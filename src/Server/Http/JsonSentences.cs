using System.Text.Json;
using FaithfulBracket.Formats.Json;

namespace FaithfulBracket.Server.Http;

/// <summary>What the reader of a body says of it, in words for whoever sent it: it speaks of types otherwise.</summary>
internal static class JsonSentences
{
    public static string Of(JsonException e)
    {
        var said = e.Message.Split(" Path:", 2)[0].Split(" The JSON value", 2)[0];
        bool Says(string words) => said.Contains(words, StringComparison.Ordinal);
        var field = Pointer(e.Path).Split('/')[^1];
        if (JsonInput.CutOffWords.Any(Says))
            return $"The text ends in the middle, at line {e.LineNumber + 1}: what is open is never closed.";
        if (Says("could not be mapped"))
            return $"Unknown field \"{field}\": remove it.";
        if (Says("missing required properties"))
            return $"Missing: {said[(said.LastIndexOf(':') + 1)..].Trim(' ', '.').Replace('\'', '"')}.";
        return Says("could not be converted")
            ? $"The value of {(field.Length > 0 ? $"\"{field}\"" : "the body")} is of another kind than this call takes."
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
