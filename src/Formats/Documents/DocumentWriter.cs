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

    public static byte[] Write(Machine machine) => Write(machine, MachineReader.Format);

    /// <summary>The boards of a card are written as the board documents they are.</summary>
    public static byte[] Write(Card card)
    {
        var document = Node(card, CardReader.Format);
        var boards = document["boards"]!.AsArray();
        for (var i = 0; i < card.Boards.Count; i++)
            boards[i]!["board"] = Node(card.Boards[i].Board, BoardReader.Format);
        return JsonSerializer.SerializeToUtf8Bytes(document, Indented);
    }

    private static byte[] Write<T>(T value, string format) =>
        JsonSerializer.SerializeToUtf8Bytes(Node(value, format), Indented);

    private static JsonObject Node<T>(T value, string format)
    {
        var document = new JsonObject { ["format"] = format, ["version"] = 1 };
        foreach (var (name, field) in JsonSerializer.SerializeToNode(value, DocumentJson.Options)!.AsObject().ToList())
            document[name] = field?.DeepClone();
        return document;
    }
}
