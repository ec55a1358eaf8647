using FaithfulBracket.Core;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>A job of before on the same board or block.</summary>
internal sealed record PastJob(
    long Id,
    string Title,
    string? Client,
    string BoardName,
    string? BlockName,
    bool Finished,
    string? By,
    string? At,
    string? Verdict,
    IReadOnlyList<string> Wrong
);

/// <param name="Medians">All pastes first, then each.</param>
/// <param name="Taken">What the maker's claim is multiplied by; null while the claim stands.</param>
internal sealed record LearnedView(IReadOnlyList<ShopMedian> Medians, double? Taken);

/// <param name="Take">The shop's own median; false for the maker's claim again.</param>
internal sealed record ClaimChange(bool Take, string By);

/// <summary>Everything ever done: found by words, and what was done last time on the same board or block.</summary>
internal static class PastEndpoints
{
    private const int MaxText = 200,
        MaxFound = 40,
        MaxPast = 20,
        MaxLearned = 500;

    public static void Map(IEndpointRouteBuilder app)
    {
        var past = app.MapGroup("/api").WithTags("past");
        past.MapGet(
            "/search",
            (string text, JobSearch search) => TypedResults.Ok(search.Find(Bounded(text), MaxFound))
        );
        past.MapGet("/blocks/{id}/learned", Learned);
        past.MapPut("/blocks/{id}/claim", Claim);
        past.MapGet(
            "/past/{document}",
            (string document, long? but, JobSearch search, BenchSummaries summaries) =>
                TypedResults.Ok(On(document, but, search, summaries))
        );
    }

    /// <summary>What the shop's own jobs say of a block.</summary>
    private static Ok<LearnedView> Learned(string id, JobSearch search, BenchSummaries summaries, LibraryCache shop) =>
        TypedResults.Ok(
            new LearnedView(
                ShopMedians.Compute(Measured(id, search, summaries)),
                shop.Settings.Claims.TryGetValue(id, out var taken) ? taken : null
            )
        );

    private static List<BlockMeasured> Measured(string id, JobSearch search, BenchSummaries summaries) =>
        [.. summaries.Compute([.. search.On(id, MaxLearned)]).SelectMany(j => j.Measured).Where(m => m.Block == id)];

    /// <summary>Takes the shop's own median for a maker's claim, or the claim again.</summary>
    private static Ok<LearnedView> Claim(
        string id,
        ClaimChange body,
        JobSearch search,
        BenchSummaries summaries,
        LibraryCache shop,
        Settings settings
    )
    {
        JobEndpoints.CheckInitials(body.By);
        if (!shop.Blocks.ContainsKey(id))
            throw new NotFoundException(MissingWords.LibraryHasNoBlock(id));
        var own = ShopMedians.Compute(Measured(id, search, summaries)) is [var all, ..] ? all : null;
        if (body.Take && own?.Ratio is not (>= ShopSettingList.MinClaim and <= ShopSettingList.MaxClaim))
            throw new InputException("/take", own?.Text ?? PastEndpointsWords.NoJobWithThisBlock);
        settings.Put(
            [new(ShopSettingList.ClaimPrefix + id, body.Take ? own!.Ratio : null)],
            body.Take ? own!.Text : PastEndpointsWords.MakersClaimAgain,
            body.By
        );
        return Learned(id, search, summaries, shop);
    }

    private static string Bounded(string text) =>
        text.Length <= MaxText
            ? text
            : throw new InputException("?text", LimitWords.ExpectedAtMostCharactersFound(MaxText, text.Length));

    /// <param name="but">A job that asks about those before it.</param>
    private static IReadOnlyList<PastJob> On(string document, long? but, JobSearch search, BenchSummaries summaries) =>
        [
            .. summaries
                .Compute([.. search.On(document, MaxPast + 1).Where(id => id != but).Take(MaxPast)])
                .OrderByDescending(j => j.Id)
                .Select(j => new PastJob(
                    j.Id,
                    j.Title,
                    j.Client,
                    j.BoardName,
                    j.BlockName,
                    j.Finished,
                    j.LastBy,
                    j.LastAt,
                    j.Outcome?.Verdict,
                    j.Outcome?.Wrong ?? []
                )),
        ];
}
