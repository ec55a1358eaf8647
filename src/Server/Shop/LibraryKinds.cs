using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>One kind of document that the library keeps.</summary>
/// <param name="Path">As addresses name it.</param>
/// <param name="Format">As documents name it.</param>
/// <param name="Read">By its rules.</param>
/// <param name="Shape">What it reads as.</param>
internal sealed record LibraryKind(
    string Name,
    string Path,
    string Format,
    Func<ReadOnlyMemory<byte>, LibraryDocument> Read,
    Type Shape
);

/// <summary>Every kind of document that the library keeps.</summary>
internal static class LibraryKinds
{
    public static readonly IReadOnlyList<LibraryKind> All =
    [
        new("board", "boards", BoardReader.Format, LibraryDocuments.Board, typeof(Board)),
        new("block", "blocks", BlockReader.Format, LibraryDocuments.Block, typeof(Block)),
        new("card", "cards", CardReader.Format, LibraryDocuments.Card, typeof(Card)),
        new("socket", "sockets", SocketReader.Format, LibraryDocuments.Socket, typeof(Socket)),
        new("machine", "machines", MachineReader.Format, LibraryDocuments.Machine, typeof(Machine)),
    ];

    /// <summary>Which kind a document says it is.</summary>
    /// <exception cref="InputException">None that the library keeps.</exception>
    public static LibraryKind Classify(JsonElement document) =>
        FormatOf(document) is { } format && All.FirstOrDefault(k => k.Format == format) is { } kind
            ? kind
            : throw new InputException([NoFormat(document)]);

    /// <summary>What is wrong with a document that is of no kind.</summary>
    public static InputFault NoFormat(JsonElement document)
    {
        var found = FormatOf(document) is { } format ? $"\"{format}\"" : "nothing";
        return new("/format", $"Expected {string.Join(", ", All.Select(k => $"\"{k.Format}\""))}; found {found}.");
    }

    /// <summary>What a document says it is; null where it says nothing.</summary>
    public static string? FormatOf(JsonElement document) =>
        document.ValueKind == JsonValueKind.Object
        && document.TryGetProperty("format", out var f)
        && f.ValueKind == JsonValueKind.String
            ? f.GetString()
            : null;
}
