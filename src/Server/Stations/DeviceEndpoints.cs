using FaithfulBracket.Core;
using FaithfulBracket.Server.Lan;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Hosting.Server.Features;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using QRCoder;

namespace FaithfulBracket.Server.Stations;

/// <param name="Open">Whether the shop's network is served.</param>
/// <param name="Address">What a tablet opens; null while it is not served.</param>
/// <param name="Fingerprint">SHA-256 of the certificate, to compare with what the tablet's browser shows.</param>
internal sealed record DevicesView(bool Open, string? Address, string? Fingerprint, IReadOnlyList<DeviceRow> Devices);

/// <summary>
/// What an unpaired device is shown: the fingerprint to compare with the one on the workshop's own machine.
/// </summary>
internal sealed record PairingPage(string? Fingerprint);

/// <param name="Code">Lets one device in.</param>
/// <param name="Picture">The address with the code, to be read by a camera; an SVG.</param>
internal sealed record Pairing(string Code, string Address, string Picture, string Until, string? Fingerprint);

internal sealed record PairRequest(string Code, string Name);

/// <summary>
/// Tablets of the shop's network: let in by a code, listed, shut out. Only this machine itself may do so.
/// </summary>
internal static class DeviceEndpoints
{
    /// <summary>Bytes of a request to pair.</summary>
    private const long MaxBody = 4096;

    private const int MaxName = 60,
        MaxCode = 20;

    public static void Map(IEndpointRouteBuilder app)
    {
        var devices = app.MapGroup("/api/devices").WithTags("devices").AddEndpointFilter(OnlyHereAsync);
        devices.MapGet("", View);
        devices.MapPost("/pairings", OpenPairing);
        devices.MapDelete(
            "/{id:long}",
            (long id, DeviceGate gate) =>
            {
                gate.Revoke(id);
                return TypedResults.NoContent();
            }
        );
        app.MapGet("/api/pair", (LanHosts lan) => TypedResults.Ok(new PairingPage(lan.Fingerprint)))
            .WithTags("devices");
        app.MapPost("/api/pair", Pair).WithTags("devices").WithMetadata(new RequestSizeLimitAttribute(MaxBody));
    }

    internal static async ValueTask<object?> OnlyHereAsync(
        EndpointFilterInvocationContext context,
        EndpointFilterDelegate next
    ) =>
        DeviceGate.IsHere(context.HttpContext)
            ? await next(context)
            : TypedResults.Problem(
                DeviceEndpointsWords.OnlyWorkshopsOwnMachineMayDo,
                statusCode: 403,
                title: "Refused"
            );

    private static Ok<DevicesView> View(Devices devices, LanHosts lan, IServer server) =>
        TypedResults.Ok(
            new DevicesView(lan.Open, lan.Open ? lan.Address(PortOf(server)) : null, lan.Fingerprint, devices.All())
        );

    private static Results<Ok<Pairing>, ProblemHttpResult> OpenPairing(
        PairingService desk,
        LanHosts lan,
        IServer server
    )
    {
        if (!lan.Open)
            return TypedResults.Problem(
                DeviceEndpointsWords.ShopsNetworkIsNotServed,
                statusCode: 409,
                title: "Refused"
            );
        var (code, until) = desk.Open();
        var address = $"{lan.Address(PortOf(server))}{DeviceGate.PairPage}#{code}";
        using var data = QRCodeGenerator.GenerateQrCode(address, QRCodeGenerator.ECCLevel.M);
        using var picture = new SvgQRCode(data);
        return TypedResults.Ok(
            new Pairing(code, address, picture.GetGraphic(6), until.UtcDateTime.ToString("O"), lan.Fingerprint)
        );
    }

    private static Results<NoContent, ProblemHttpResult> Pair(
        PairRequest body,
        PairingService desk,
        HttpContext context
    )
    {
        var faults = new List<InputFault>();
        if (body.Code is not { Length: > 0 and <= MaxCode })
            faults.Add(new("/code", DeviceEndpointsWords.TypeCodeThatShopsOwnMachine));
        if (string.IsNullOrWhiteSpace(body.Name) || body.Name.Length > MaxName)
            faults.Add(new("/name", DeviceEndpointsWords.SayWhichDevice));
        if (faults.Count > 0)
            throw new InputException(faults);
        try
        {
            if (desk.Pair(body.Code!, body.Name.Trim(), context.Connection.RemoteIpAddress) is not { } paired)
                return TypedResults.Problem(DeviceEndpointsWords.ThisCodeLetsNobody, statusCode: 403, title: "Refused");
            context.Response.Cookies.Append(
                DeviceGate.Cookie,
                paired.Token,
                new()
                {
                    HttpOnly = true,
                    Secure = true,
                    SameSite = SameSiteMode.Strict,
                    Path = "/",
                    MaxAge = TimeSpan.FromDays(400),
                    IsEssential = true,
                }
            );
            return TypedResults.NoContent();
        }
        catch (TooManyTriesException e)
        {
            context.Response.Headers.RetryAfter = Math.Ceiling(Math.Max(1, e.Wait.TotalSeconds)).ToString("0");
            return TypedResults.Problem(e.Message, statusCode: 429, title: "Wait");
        }
    }

    /// <summary>The port of HTTPS, which may have been a free one.</summary>
    internal static int PortOf(IServer server) =>
        server
            .Features.Get<IServerAddressesFeature>()
            ?.Addresses.Select(a => Uri.TryCreate(a, UriKind.Absolute, out var u) && u.Scheme == "https" ? u.Port : 0)
            .FirstOrDefault(p => p > 0)
        ?? LanHosts.UsualPort;
}
