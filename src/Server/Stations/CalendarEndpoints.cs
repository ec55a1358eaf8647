using System.Security.Cryptography;
using System.Text;
using FaithfulBracket.Server.Lan;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <param name="Address">On this machine.</param>
/// <param name="LanAddress">In the workshop's network; null while that is not served.</param>
internal sealed record CalendarAddress(string Address, string? LanAddress);

/// <summary>
/// The calendar at an address that nobody can guess, for calendar programs that can neither sign in nor be paired. Whoever has
/// the address reads titles, clients and dates, and nothing else.
/// </summary>
internal static class CalendarEndpoints
{
    private const string Secret = "calendar";
    private const int SecretBytes = 18;

    public static void Map(IEndpointRouteBuilder app)
    {
        app.MapGet(CalendarFile.Folder + "/{file}", Read).Produces<string>(200, "text/calendar").WithTags("day");
        var own = app.MapGroup("/api/settings/calendar")
            .WithTags("settings")
            .AddEndpointFilter(DeviceEndpoints.OnlyHereAsync);
        own.MapGet("", (HttpRequest r, ShopSecrets s, LanHosts lan, IServer server) => View(r, s, lan, server));
        own.MapPost(
            "/address",
            (HttpRequest r, ShopSecrets s, LanHosts lan, IServer server) =>
            {
                s.Renew(Secret, SecretBytes);
                return View(r, s, lan, server);
            }
        );
    }

    private static Ok<CalendarAddress> View(HttpRequest request, ShopSecrets secrets, LanHosts lan, IServer server)
    {
        var path = $"{CalendarFile.Folder}/{FileOf(secrets)}";
        return TypedResults.Ok(
            new CalendarAddress(
                $"{request.Scheme}://{request.Host}{path}",
                lan.Open ? lan.Address(DeviceEndpoints.PortOf(server)) + path : null
            )
        );
    }

    private static FileContentHttpResult Read(
        string file,
        ShopSecrets secrets,
        CalendarFile calendar,
        HttpResponse response
    )
    {
        // how long the comparison takes says nothing about the address
        if (
            !CryptographicOperations.FixedTimeEquals(
                Encoding.UTF8.GetBytes(file),
                Encoding.UTF8.GetBytes(FileOf(secrets))
            )
        )
            throw new NotFoundException(CalendarEndpointsWords.NoCalendarHere);
        response.Headers.CacheControl = "private, no-cache";
        return TypedResults.File(calendar.Write(), CalendarFile.MediaType);
    }

    private static string FileOf(ShopSecrets secrets) =>
        Convert.ToHexStringLower(secrets.Get(Secret, SecretBytes)) + ".ics";
}
