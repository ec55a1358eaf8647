using FaithfulBracket.Core;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Store;
using Microsoft.Extensions.DependencyInjection;

namespace FaithfulBracket.Server.Shop;

/// <summary>What a dropped file turned out to be: a document to look at, or its faults.</summary>
/// <param name="Kind">board, block, card, socket, machine, or unknown.</param>
internal sealed record Checked(
    string Kind,
    Board? Board,
    Block? Block,
    Card? Card,
    Socket? Socket,
    Machine? Machine,
    IReadOnlyList<PointedFault> Faults,
    bool Known,
    bool SameContent
)
{
    /// <summary>What is allowed but hardly meant.</summary>
    public IReadOnlyList<string> Doubts { get; } =
        Board is { } b ? BoardDoubts.Find(b)
        : Card is { } c ? [.. c.Boards.SelectMany(x => BoardDoubts.Find(x.Board).Select(d => $"Board {x.Key}: {d}"))]
        : [];

    public static Checked Broken(IEnumerable<InputFault> faults) =>
        new("unknown", null, null, null, null, null, PointedFault.All(faults), false, false);
}

/// <summary>Documents read by their rules and held against what the library keeps.</summary>
internal sealed class DocumentChecks(IServiceProvider services)
{
    /// <exception cref="InputException">Broken rules, with their places.</exception>
    /// <exception cref="MalformedJsonException">No JSON.</exception>
    public Checked Read(ReadOnlyMemory<byte> bytes)
    {
        LibraryKind kind;
        using (var json = JsonInput.Parse(bytes))
            kind = LibraryKinds.Classify(json.RootElement);
        var document = kind.Read(bytes);
        var kept = services.GetRequiredKeyedService<Library>(kind.Name).Find(document.Id);
        var same = kept is not null && LibraryDocuments.Digest(kept) == document.Digest;
        var read = document.Parsed!;
        return new(
            kind.Name,
            read as Board,
            read as Block,
            read as Card,
            read as Socket,
            read as Machine,
            [],
            kept is not null,
            same
        );
    }
}
