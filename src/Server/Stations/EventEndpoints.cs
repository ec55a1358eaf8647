using FaithfulBracket.Server.Events;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <param name="Address">Where events are sent; null while no address is named.</param>
/// <param name="Open">Whether any are.</param>
/// <param name="Kinds">Which ones.</param>
/// <param name="Choices">Every kind there is.</param>
/// <param name="Secret">Key of the signatures, base64; whoever has it can tell that an event came from here.</param>
/// <param name="Events">The last ones, newest first.</param>
internal sealed record EventsView(
    string? Address,
    bool Open,
    IReadOnlyList<string> Kinds,
    IReadOnlyList<string> Choices,
    string Secret,
    IReadOnlyList<ShopEventRow> Events
);

internal sealed record NewEventTarget(string Address, bool Open, IReadOnlyList<string> Kinds, string By);

/// <summary>Events for the shop's other tools. Only the workshop's own machine may look at them or change them.</summary>
internal static class EventEndpoints
{
    private const int MaxAddress = 500,
        MaxShown = 50;

    public static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/settings/events")
            .WithTags("settings")
            .AddEndpointFilter(DeviceEndpoints.OnlyHereAsync);
        group.MapGet("", (ShopEvents e, ShopSecrets s) => TypedResults.Ok(View(e, s)));
        group.MapPut("", PutAsync).Accepts<NewEventTarget>("application/json");
        group.MapPost("/test", Test);
        group.MapPost("/secret", Renew);
        group.MapPost("/{eventId:long}/again", Again);
    }

    private static EventsView View(ShopEvents events, ShopSecrets secrets)
    {
        var target = events.Target();
        return new(
            target?.Address,
            target?.IsOpen ?? false,
            target?.Kinds ?? EventKinds.All,
            EventKinds.All,
            Convert.ToBase64String(secrets.Get(EventSender.Secret, EventSender.SecretBytes)),
            events.Last(MaxShown)
        );
    }

    private static async Task<Ok<EventsView>> PutAsync(HttpRequest request, ShopEvents events, ShopSecrets secrets)
    {
        var put = await Bodies.ReadAsync(
            request,
            o =>
            {
                var read = new NewEventTarget(
                    o.Text("address", MaxAddress),
                    o.Flag("open", false),
                    [.. o.Texts("kinds").Distinct()],
                    SheetEndpoints.By(o)
                );
                if (
                    !Uri.TryCreate(read.Address, UriKind.Absolute, out var uri)
                    || uri.Scheme is not ("http" or "https")
                    || uri.UserInfo.Length > 0
                )
                    o.Fault("address", EventEndpointsWords.ExpectedAnAddress);
                foreach (var unknown in read.Kinds.Except(EventKinds.All))
                    o.Fault("kinds", EventEndpointsWords.IsNoKindOfEvent(unknown, string.Join(", ", EventKinds.All)));
                return read;
            }
        );
        events.Put(put.Address, put.Kinds, put.Open, put.By);
        return TypedResults.Ok(View(events, secrets));
    }

    private static Results<Ok<EventsView>, ProblemHttpResult> Test(
        ShopEvents events,
        EventFinder finder,
        ShopSecrets secrets
    )
    {
        if (events.Target() is not { IsOpen: true })
            return TypedResults.Problem(EventEndpointsWords.NothingIsSent, statusCode: 409, title: "Refused");
        finder.Test();
        return TypedResults.Ok(View(events, secrets));
    }

    private static Ok<EventsView> Renew(ShopEvents events, ShopSecrets secrets)
    {
        secrets.Renew(EventSender.Secret, EventSender.SecretBytes);
        return TypedResults.Ok(View(events, secrets));
    }

    private static Ok<EventsView> Again(long eventId, ShopEvents events, ShopSecrets secrets)
    {
        events.Again(eventId);
        return TypedResults.Ok(View(events, secrets));
    }
}
