using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Formats.Documents;

namespace FaithfulBracket.Core.Tests;

/// <summary>The documents that ship with the demo.</summary>
internal static class Demo
{
    private static readonly string Root = Path.Combine(AppContext.BaseDirectory, "../../../../../demo");

    private static byte[] Bytes(string kind, string id) =>
        File.ReadAllBytes(Path.Combine(Root, kind, $"{id}.{kind[..^1]}.json"));

    /// <summary>Ids of all documents of a kind.</summary>
    public static IEnumerable<string> All(string kind) =>
        Directory.GetFiles(Path.Combine(Root, kind)).Select(f => Path.GetFileName(f).Split('.')[0]).Order();

    public static Board Board(string id) => BoardReader.Read(Bytes("boards", id));

    public static Block Block(string id) => BlockReader.Read(Bytes("blocks", id));

    public static Card Card(string id) => CardReader.Read(Bytes("cards", id));

    public static Socket Socket(string id) => SocketReader.Read(Bytes("sockets", id));
}
