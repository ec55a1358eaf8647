using System.Text.Json;
using System.Text.Json.Nodes;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Formats.Json;

namespace FaithfulBracket.Formats.Documents;

/// <summary>Writes board and block documents, version 1, indented.</summary>
public static class DocumentWriter
{
    private static readonly JsonSerializerOptions Indented = new(DocumentJson.Options) { WriteIndented = true };

    public static byte[] Write(Board board) => Write(board, BoardReader.Format);

    public static byte[] Write(Block block) => Write(block, BlockReader.Format);

    private static byte[] Write<T>(T value, string format)
    {
        var document = new JsonObject { ["format"] = format, ["version"] = 1 };
        foreach (var (name, field) in JsonSerializer.SerializeToNode(value, DocumentJson.Options)!.AsObject().ToList())
            document[name] = field?.DeepClone();
        return JsonSerializer.SerializeToUtf8Bytes(document, Indented);
    }
}
