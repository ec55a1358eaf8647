using FaithfulBracket.Server.Words.Http;
using Microsoft.AspNetCore.Http.Metadata;

namespace FaithfulBracket.Server.Http;

/// <summary>
/// What HTTP says of methods (RFC 9110): HEAD is GET without its body, OPTIONS names what a path takes, and what it does not take
/// is 405 with Allow.
/// </summary>
internal static class MethodRules
{
    private const string Api = "/api";
    private static readonly object AsHead = new();

    /// <summary>Before routing: a HEAD is looked up and answered as its GET; the server leaves the body out.</summary>
    public static Task HeadAsync(HttpContext context, RequestDelegate next)
    {
        if (HttpMethods.IsHead(context.Request.Method) && IsCall(context))
        {
            context.Items[AsHead] = true;
            context.Request.Method = HttpMethods.Get;
        }
        return next(context);
    }

    /// <summary>After routing: a stream that is asked for its headers alone is not begun.</summary>
    public static Task NoStreamAsync(HttpContext context, RequestDelegate next)
    {
        const string stream = "text/event-stream";
        if (
            !context.Items.ContainsKey(AsHead)
            || context.GetEndpoint()?.Metadata.GetOrderedMetadata<IProducesResponseTypeMetadata>() is not { } produces
            || !produces.Any(p => p.ContentTypes.Contains(stream))
        )
            return next(context);
        context.Response.ContentType = stream;
        return Task.CompletedTask;
    }

    /// <summary>An answer that has a status and no words yet.</summary>
    public static Task TellAsync(Microsoft.AspNetCore.Diagnostics.StatusCodeContext told)
    {
        var context = told.HttpContext;
        var (request, response) = (context.Request, context.Response);
        if (response.StatusCode == StatusCodes.Status405MethodNotAllowed)
        {
            var takes = response.Headers.Allow.SelectMany(a => (a ?? "").Split(',', StringSplitOptions.TrimEntries));
            var all = takes
                .SelectMany(m => HttpMethods.IsGet(m) ? [m, HttpMethods.Head] : new[] { m })
                .Append(HttpMethods.Options)
                .Distinct()
                .Order(StringComparer.Ordinal)
                .ToList();
            response.Headers.Allow = string.Join(", ", all);
            if (HttpMethods.IsOptions(request.Method))
            {
                response.StatusCode = StatusCodes.Status204NoContent;
                return Task.CompletedTask;
            }
            return Problems.WriteAsync(
                context,
                response.StatusCode,
                MethodRulesWords.NotByThisMethod,
                $"{request.Path} takes {response.Headers.Allow}, not {request.Method}."
            );
        }
        var of = request.ContentType is { } type ? $" for {type}" : "";
        return response.StatusCode switch
        {
            StatusCodes.Status404NotFound when context.GetEndpoint() is null => Problems.WriteAsync(
                context,
                response.StatusCode,
                "Not here",
                MethodRulesWords.ThereIsNoCall(request.Method, request.Path, of)
            ),
            StatusCodes.Status415UnsupportedMediaType => Problems.WriteAsync(
                context,
                response.StatusCode,
                MethodRulesWords.NotInThisForm,
                MethodRulesWords.ContentTypeIsNotTaken(request.Method, request.Path, request.ContentType)
            ),
            _ => Problems.WriteAsync(
                context,
                response.StatusCode,
                Microsoft.AspNetCore.WebUtilities.ReasonPhrases.GetReasonPhrase(response.StatusCode),
                null
            ),
        };
    }

    private static bool IsCall(HttpContext context) => context.Request.Path.StartsWithSegments(Api);
}
