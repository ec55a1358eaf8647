using System.Text;
using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;
using FaithfulBracket.Core;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Words.Documents.Editing;

namespace FaithfulBracket.Formats.Documents.Editing;

/// <summary>Documents as nodes to change, and as text to keep.</summary>
public static class DocumentText
{
    private static readonly JsonSerializerOptions Indented = new()
    {
        WriteIndented = true,
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
    };

    private static readonly JsonDocumentOptions Once = new()
    {
        AllowDuplicateProperties = false,
        MaxDepth = JsonInput.MaxDepth,
    };

    public static string Format(JsonNode document) => document.ToJsonString(Indented);

    /// <exception cref="InputException">A field stands twice in it, or it is nothing with fields.</exception>
    public static JsonObject Read(string text, string pointer)
    {
        try
        {
            return JsonNode.Parse(text, documentOptions: Once) as JsonObject
                ?? throw new InputException(pointer, "Expected a document.");
        }
        catch (JsonException e)
        {
            throw new InputException(
                pointer,
                e.Message.Contains("uplicate", StringComparison.Ordinal)
                    ? DocumentTextWords.FieldStandsTwice
                    : "Expected a document as JSON."
            );
        }
    }

    public static byte[] Bytes(string text) => Encoding.UTF8.GetBytes(text);
}
