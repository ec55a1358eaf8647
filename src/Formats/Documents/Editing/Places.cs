using System.Globalization;
using System.Text.Json.Nodes;
using FaithfulBracket.Core;
using FaithfulBracket.Formats.Words.Documents.Editing;

namespace FaithfulBracket.Formats.Documents.Editing;

/// <summary>JSON pointers (RFC 6901) into a document, and ids that are free in it.</summary>
internal static class Places
{
    private const int MaxDeep = 16;

    public static JsonNode? Find(JsonNode document, string pointer)
    {
        JsonNode? node = document;
        foreach (var key in Keys(pointer))
            node = node switch
            {
                JsonObject o => o[key],
                JsonArray list => Index(key) is { } i && i < list.Count ? list[i] : null,
                _ => null,
            };
        return node;
    }

    /// <summary>The object or list that a field stands in; missing objects on the way are made.</summary>
    /// <exception cref="InputException">The way ends before the field.</exception>
    public static (JsonNode Parent, string Key) Field(JsonNode document, string pointer)
    {
        var keys = Keys(pointer);
        if (keys.Count == 0)
            throw new InputException("", PlacesWords.ExpectedPlaceOfFieldFoundWhole);
        var node = document;
        foreach (var key in keys.SkipLast(1))
            node = node switch
            {
                JsonObject o => o[key] ?? (o[key] = new JsonObject()),
                JsonArray list when Index(key) is { } i && i < list.Count && list[i] is { } item => item,
                _ => throw new InputException("", DocumentEditorWords.ThereIsNothing(pointer)),
            };
        return node is JsonObject or JsonArray
            ? (node, keys[^1])
            : throw new InputException("", DocumentEditorWords.ThereIsNothing(pointer));
    }

    /// <summary>What a fault calls it.</summary>
    public static string NameOf(JsonNode node) => node.Parent is null ? "The document itself" : PointerOf(node);

    public static string PointerOf(JsonNode node)
    {
        var keys = new Stack<string>();
        for (; node.Parent is { } parent; node = parent)
            keys.Push(
                parent is JsonArray list
                    ? list.IndexOf(node).ToString(CultureInfo.InvariantCulture)
                    : node.GetPropertyName()
                        .Replace("~", "~0", StringComparison.Ordinal)
                        .Replace("/", "~1", StringComparison.Ordinal)
            );
        return string.Concat(keys.Select(k => $"/{k}"));
    }

    /// <summary>The prefix with the next number that no id of the document has: M4 after M3.</summary>
    public static string NextId(JsonNode document, string like)
    {
        var prefix = like.TrimEnd('0', '1', '2', '3', '4', '5', '6', '7', '8', '9');
        var most = 0;
        foreach (var id in Ids(document))
            if (
                id.StartsWith(prefix, StringComparison.Ordinal)
                && id.Length - prefix.Length is > 0 and < 9
                && int.TryParse(id.AsSpan(prefix.Length), NumberStyles.None, CultureInfo.InvariantCulture, out var n)
            )
                most = Math.Max(most, n);
        return prefix + (most + 1).ToString(CultureInfo.InvariantCulture);
    }

    private static IEnumerable<string> Ids(JsonNode? node) =>
        node switch
        {
            JsonObject o => o.SelectMany(f =>
                f.Key == "id" && f.Value is JsonValue v && v.TryGetValue<string>(out var id) ? [id] : Ids(f.Value)
            ),
            JsonArray list => list.SelectMany(Ids),
            _ => [],
        };

    private static List<string> Keys(string pointer)
    {
        if (pointer.Length == 0)
            return [];
        if (pointer[0] != '/' || pointer.Length > 400)
            throw new InputException("", $"\"{Layouts.LayoutReader.Short(pointer)}\" is no JSON pointer.");
        if (pointer.AsSpan().Count('/') > MaxDeep)
            throw new InputException("", PlacesWords.LeadsDeeperThanDocumentGoes(Layouts.LayoutReader.Short(pointer)));
        return
        [
            .. pointer[1..]
                .Split('/')
                .Select(k =>
                    k.Replace("~1", "/", StringComparison.Ordinal).Replace("~0", "~", StringComparison.Ordinal)
                ),
        ];
    }

    private static int? Index(string key) =>
        int.TryParse(key, NumberStyles.None, CultureInfo.InvariantCulture, out var i) ? i : null;
}
