using System.Net;
using FaithfulBracket.Server.Words.Http;
using Microsoft.Net.Http.Headers;

namespace FaithfulBracket.Server.Http;

/// <summary>
/// Answers only under its own names, and lets only its own pages and plain programs write: a page of another site that
/// the same browser shows can neither read nor change the shop.
/// </summary>
/// <param name="lan">Names of this machine in the shop's network; none while it is not served.</param>
internal sealed class OwnPages(IConfiguration configuration, IReadOnlyList<string>? lan = null)
{
    private readonly HashSet<string> _names =
    [
        .. (configuration["hosts"] ?? "").Split([',', ' '], StringSplitOptions.RemoveEmptyEntries),
        .. (configuration["urls"] ?? "")
            .Split(';', StringSplitOptions.RemoveEmptyEntries)
            .Select(u => Uri.TryCreate(u, UriKind.Absolute, out var a) ? a.Host : "")
            // an endpoint of every address has no name of its own
            .Where(h => h.Length > 0 && h is not ("0.0.0.0" or "[::]" or "+" or "*")),
    ];

    /// <summary>Names under which the network is served; over plain HTTP this machine answers only to itself.</summary>
    private readonly HashSet<string> _lan = [.. lan ?? []];

    public Task CheckAsync(HttpContext context, RequestDelegate next)
    {
        var request = context.Request;
        if (!IsOwn(request.Host.Host, request.IsHttps))
            return RefuseAsync(
                context,
                StatusCodes.Status421MisdirectedRequest,
                OwnPagesWords.ThisShopDoesNotAnswer(request.Host.Host)
            );
        // a stream that keeps what it hears says for whom
        if (IsRead(request) && !ActorCheck.IsNamed(request))
            return next(context);
        var origin = request.Headers.Origin.ToString();
        var site = request.Headers["Sec-Fetch-Site"].ToString();
        if (
            site is not ("" or "same-origin" or "none")
            || origin.Length > 0
                && !(Uri.TryCreate(origin, UriKind.Absolute, out var from) && from.Authority == request.Host.Value)
        )
            return RefuseAsync(context, StatusCodes.Status403Forbidden, OwnPagesWords.OnlyThisShopsOwnPages);
        // what a form of any site could send without asking first
        if (
            request.ContentType is { } type
            && (Is(type, "text/plain") || Is(type, "application/x-www-form-urlencoded"))
        )
            return RefuseAsync(
                context,
                StatusCodes.Status415UnsupportedMediaType,
                OwnPagesWords.NothingIsWrittenFrom(type)
            );
        if (
            MediaTypeHeaderValue.TryParse(request.ContentType, out var media)
            && media.Charset.ToString().Trim('"') is { Length: > 0 } charset
            && !charset.Equals("utf-8", StringComparison.OrdinalIgnoreCase)
            && !charset.Equals("us-ascii", StringComparison.OrdinalIgnoreCase)
        )
            return RefuseAsync(context, StatusCodes.Status415UnsupportedMediaType, OwnPagesWords.TextIsReadAsUtf8);
        return next(context);
    }

    public static bool IsRead(HttpRequest request) =>
        HttpMethods.IsGet(request.Method) || HttpMethods.IsHead(request.Method);

    private bool IsOwn(string host, bool isHttps) =>
        host is "localhost"
        || IPAddress.TryParse(host.Trim('[', ']'), out var address) && IPAddress.IsLoopback(address)
        || _names.Contains(host)
        || isHttps && _lan.Contains(host);

    private static bool Is(string type, string one) => type.StartsWith(one, StringComparison.OrdinalIgnoreCase);

    private static Task RefuseAsync(HttpContext context, int status, string why)
    {
        context.Response.StatusCode = status;
        return context.Response.WriteAsJsonAsync(
            new Microsoft.AspNetCore.Mvc.ProblemDetails
            {
                Status = status,
                Title = "Refused",
                Type = ProblemKinds.TypeOf("Refused"),
                Detail = why,
                Instance = context.Request.Path,
            },
            options: null,
            "application/problem+json"
        );
    }
}
