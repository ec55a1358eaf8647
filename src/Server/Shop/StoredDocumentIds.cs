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

    private static RenamedDocument? Renamed(StoredDocument old)
    {
        JsonNode? document;
        try
        {
            document = JsonNode.Parse(old.Document);
        }
        catch (JsonException)
        {
            return null; // said where it is read
        }
        if (document is null || DocumentIds.Renamed(document) is not { Count: > 0 } renamed)
            return null;
        DocumentIds.Rename(document, renamed);
        var utf8 = JsonSerializer.SerializeToUtf8Bytes(document);
        return new(old, renamed.GetValueOrDefault(old.Id, old.Id), utf8, LibraryDocuments.Digest(utf8), renamed);
    }

    private static string Text(string json, IReadOnlyDictionary<string, string> renamed)
    {
        var node = JsonNode.Parse(json);
        DocumentIds.Rename(node, renamed);
        return node?.ToJsonString() ?? json;
    }
}
