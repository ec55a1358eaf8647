using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>Documents from before ids were limited get valid ones at the first start after the upgrade.</summary>
internal sealed class StoredDocumentIds(StoredIds stored, ILogger<StoredDocumentIds> log)
{
    public void Repair()
    {
        foreach (var r in stored.Repair(Renamed, Text))
            log.LogInformation(
                "The {Kind} {Id} was stored with ids that are not valid any more: {Old} became {New}",
                r.Old.Kind,
                r.Old.Id,
                string.Join(", ", r.Renamed.Keys),
                string.Join(", ", r.Renamed.Values)
            );
    }

    private static RenamedDocument? Renamed(StoredDocument old, ISet<string> others)
    {
        if (
            Parse(old.Document) is not { } document
            || DocumentIds.Renamed(document, others) is not { Count: > 0 } renamed
        )
            return null;
        DocumentIds.Rename(document, renamed);
        var utf8 = JsonSerializer.SerializeToUtf8Bytes(document);
        return new(old, renamed.GetValueOrDefault(old.Id, old.Id), utf8, LibraryDocuments.Digest(utf8), renamed);
    }

    private static string Text(string json, IReadOnlyDictionary<string, string> renamed)
    {
        if (Parse(Encoding.UTF8.GetBytes(json)) is not { } node)
            return json;
        DocumentIds.Rename(node, renamed);
        return node.ToJsonString();
    }

    /// <summary>Null where the text is not valid JSON, or names a field twice: that is said where it is read.</summary>
    private static JsonNode? Parse(byte[] utf8)
    {
        try
        {
            return JsonNode.Parse(utf8, documentOptions: new() { AllowDuplicateProperties = false });
        }
        catch (JsonException)
        {
            return null;
        }
    }
}
