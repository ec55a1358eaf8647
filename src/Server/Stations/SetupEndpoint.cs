using FaithfulBracket.Server.Shop;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Stations;

/// <param name="Demo">Whether the made-up shop is served.</param>
/// <param name="Done">Of what a shop begins with: who signs, a board, a block.</param>
/// <param name="Open">What is still to be done, in that order.</param>
internal sealed record SetupState(bool Demo, IReadOnlyList<string> Done, IReadOnlyList<string> Open);

/// <summary>How far a new shop has come.</summary>
internal static class SetupEndpoint
{
    public static void Map(IEndpointRouteBuilder app) =>
        app.MapGet(
                "/api/setup",
                (FigureSources sources, Signers signers, LibraryCache shop) =>
                {
                    (string Name, bool Done)[] all =
                    [
                        ("signer", signers.All().Any(s => s.LeftAt is null)),
                        ("board", shop.BoardsInUse.Count + shop.CardsInUse.Count > 0),
                        ("block", shop.BlocksInUse.Count > 0),
                    ];
                    return TypedResults.Ok(
                        new SetupState(
                            sources.Practice,
                            [.. all.Where(x => x.Done).Select(x => x.Name)],
                            [.. all.Where(x => !x.Done).Select(x => x.Name)]
                        )
                    );
                }
            )
            .WithTags("settings");
}
