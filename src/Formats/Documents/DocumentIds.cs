using System.Text.Json.Nodes;

namespace FaithfulBracket.Formats.Documents;

/// <summary>Makes ids of other programs and of earlier versions valid, the same everywhere in a document.</summary>
public static class DocumentIds
{
    /// <summary>Fields that hold words, never ids.</summary>
    private static readonly HashSet<string> Words =
    [
        "name",
        "maker",
        "model",
        "boardCode",
        "revision",
        "manualRevision",
        "notes",
        "kit",
        "finish",
    ];

    public static bool IsValid(string id) =>
        id.Length is >= 1 and <= DocumentRules.MaxId && id.All(DocumentRules.IsIdLetter) && !id.All(c => c == '.');

    /// <summary>
    /// A valid id like this one: other characters become dashes; shortened; numbered where another has it already.
    /// </summary>
    /// <param name="taken">Ids in use; the new one joins them.</param>
    public static string Valid(string id, ISet<string> taken)
    {
        var plain = new string([.. id.Select(c => DocumentRules.IsIdLetter(c) ? c : '-')]);
        if (plain.Length == 0 || plain.All(c => c == '.'))
            plain = "x";
        for (var n = 1; ; n++)
        {
            var end = n == 1 ? "" : $"-{n}";
            var made = plain[..Math.Min(plain.Length, DocumentRules.MaxId - end.Length)] + end;
            if (taken.Add(made))
                return made;
        }
    }

    /// <summary>Old ids of a document that are not valid, with the new one of each.</summary>
    /// <param name="others">
    /// Ids of other documents of its kind, which its own may not become; its new one joins them.
    /// </param>
    public static IReadOnlyDictionary<string, string> Renamed(JsonNode document, ISet<string> others)
    {
        var ids = new List<string>();
        Gather(document, ids);
        var taken = ids.Where(IsValid).ToHashSet();
        var own = ids.Count > 0 && document["id"] is not null ? ids[0] : null;
        return ids.Where(i => !IsValid(i)).Distinct().ToDictionary(i => i, i => Valid(i, i == own ? others : taken));
    }

    /// <summary>Puts the new ids wherever the old ones are named.</summary>
    public static void Rename(JsonNode? node, IReadOnlyDictionary<string, string> renamed)
    {
        switch (node)
        {
            case JsonObject o:
                foreach (var (name, value) in o.ToList())
                    if (!Words.Contains(name) && !name.StartsWith("x-", StringComparison.Ordinal))
                        if (New(value, renamed) is { } id)
                            o[name] = id;
                        else
                            Rename(value, renamed);
                break;
            case JsonArray list:
                for (var i = 0; i < list.Count; i++)
                    if (New(list[i], renamed) is { } id)
                        list[i] = id;
                    else
                        Rename(list[i], renamed);
                break;
        }
    }

    private static string? New(JsonNode? node, IReadOnlyDictionary<string, string> renamed) =>
        node is JsonValue v && v.TryGetValue<string>(out var text) ? renamed.GetValueOrDefault(text) : null;

    private static void Gather(JsonNode? node, List<string> ids)
    {
        switch (node)
        {
            case JsonObject o:
                if (o["id"] is JsonValue v && v.TryGetValue<string>(out var id))
                    ids.Add(id);
                foreach (var (_, value) in o)
                    Gather(value, ids);
                break;
            case JsonArray list:
                foreach (var item in list)
                    Gather(item, ids);
                break;
        }
    }
}
