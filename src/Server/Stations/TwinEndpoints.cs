using System.Text;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Extensions.DependencyInjection;

namespace FaithfulBracket.Server.Stations;

/// <summary>What to call a board the shop has surveyed itself.</summary>
internal sealed record SurveyName(string Id, string Maker, string Model, string BoardCode, string Revision);

/// <summary>The index of boards, and boards learned from finished jobs.</summary>
internal static class TwinEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var api = app.MapGroup("/api").WithTags("match");
        api.MapGet(
            "/twins",
            (TwinLibrary twins, CancellationToken cancel) =>
            {
                twins.IndexFew(cancel);
                return TypedResults.Ok(twins.State());
            }
        );
        api.MapPost(
            "/twins/rebuild",
            (TwinLibrary twins, CancellationToken cancel) => TypedResults.Ok(twins.Rebuild(cancel))
        );
        api.MapPost("/jobs/{id:long}/survey", SurveyAsync).Accepts<SurveyName>("application/json").Produces<Board>(201);
    }

    /// <summary>
    /// Keeps the board of a finished job under a name of its own, as surveyed by the shop (grade B): it went together.
    /// </summary>
    private static async Task<IResult> SurveyAsync(
        long id,
        HttpRequest request,
        JobViews views,
        [FromKeyedServices("board")] Library boards,
        CancellationToken cancel
    )
    {
        var name = await Bodies.ReadAsync(
            request,
            o => new SurveyName(o.Text("id"), o.Text("maker"), o.Text("model"), o.Text("boardCode"), o.Text("revision"))
        );
        var job = views.View(id, cancel);
        if (job.Route.Any(r => !r.Complete))
            throw new InputException("", TwinEndpointsWords.BoardCountsAsSurveyedWhenJob);
        // with a processor in its socket the board itself is what was surveyed, not both as they lay
        var seated = job.Order.First.Seated;
        var board = (seated is null ? job.Board : seated.Mainboard ?? seated.Processor) with
        {
            Id = name.Id,
            Maker = name.Maker,
            Model = name.Model,
            BoardCode = name.BoardCode,
            Revision = name.Revision,
            Evidence = EvidenceGrade.B,
        };
        var document = DocumentWriter.Write(board);
        boards.Keep(LibraryDocuments.Board(document));
        return Results.Text(Encoding.UTF8.GetString(document), "application/json", Encoding.UTF8, 201);
    }
}
