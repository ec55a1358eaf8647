using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Flow;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Extensions.DependencyInjection;

namespace FaithfulBracket.Server.Stations;

/// <summary>A machine as the library lists it.</summary>
internal sealed record MachineEntry(string Id, string Name, int Cards, int Links);

/// <summary>How a machine stands, judged from the documents of the library.</summary>
/// <param name="Stand">Slots and links; null while its boards or blocks are not in the library.</param>
/// <param name="Missing">What it names and the library does not have, in words.</param>
internal sealed record MachineJudged(
    Machine Machine,
    Verdict? Verdict,
    MachineStand? Stand,
    IReadOnlyList<BetweenFault> Between,
    LoopResult? Loop,
    IReadOnlyList<string> Missing
);

/// <summary>Machines of several cards: list, show, judge.</summary>
internal static class MachineEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var api = app.MapGroup("/api/machines").WithTags("library");
        api.MapGet(
            "/",
            (LibraryCache shop) =>
                TypedResults.Ok(
                    shop.MachinesInUse.Values.Select(m => new MachineEntry(m.Id, m.Name, m.Cards.Count, m.Links.Count))
                )
        );
        api.MapGet("/{id}/stand", Stand);
    }

    private static Ok<MachineJudged> Stand(string id, LibraryCache shop, JobIntake intake, CancellationToken cancel)
    {
        var machine =
            shop.Machines.GetValueOrDefault(id) ?? throw new NotFoundException(MissingWords.LibraryHasNoMachine(id));
        var (order, missing) = intake.Compute(machine);
        if (order is null)
            return TypedResults.Ok(new MachineJudged(machine, null, null, [], null, missing));
        var settings = shop.Settings;
        var match = MatchStation.Judge(order, settings, cancel);
        return TypedResults.Ok(
            new MachineJudged(
                machine,
                match.Order?.Verdict,
                match.Order?.Machine,
                match.Order?.Between ?? [],
                OrderLoop.Compute(order, match, Ways.From(order, new Dictionary<string, string>()), settings),
                missing
            )
        );
    }
}
