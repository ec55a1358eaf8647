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

    public static byte[] Write(Board board) => JsonSerializer.SerializeToUtf8Bytes(Node(board), Indented);

    public static byte[] Write(Block block) => Write(block, BlockReader.Format);

    public static byte[] Write(Machine machine) => Write(machine, MachineReader.Format);

    /// <summary>The boards of a card are written as the board documents they are.</summary>
    public static byte[] Write(Card card)
    {
        var document = Node(card, CardReader.Format);
        var boards = document["boards"]!.AsArray();
        for (var i = 0; i < card.Boards.Count; i++)
            boards[i]!["board"] = Node(card.Boards[i].Board);
        return JsonSerializer.SerializeToUtf8Bytes(document, Indented);
    }

    /// <summary>A part without a substrate says so.</summary>
    private static JsonObject Node(Board board)
    {
        var document = Node(board, BoardReader.Format);
        for (var i = 0; i < board.Parts.Count; i++)
            if (board.Parts[i].NoSubstrate)
                document["parts"]![i]!.AsObject()["substrate"] = null;
        return document;
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
