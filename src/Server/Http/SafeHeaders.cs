namespace FaithfulBracket.Server.Http;

/// <summary>Headers that keep the page to what the server itself ships.</summary>
internal static class SafeHeaders
{
    private const string Policy =
        "default-src 'self'; img-src 'self' data: blob:; style-src 'self' 'unsafe-inline'; "
        + "font-src 'self' data:; object-src 'none'; base-uri 'none'; frame-ancestors 'none'";

    public static Task AddAsync(HttpContext context, RequestDelegate next)
    {
        // when the answer begins: an answer that was thrown away for an error takes its headers with it
        context.Response.OnStarting(
            static state =>
            {
                var headers = ((HttpResponse)state).Headers;
                headers.XContentTypeOptions = "nosniff";
                headers["Referrer-Policy"] = "no-referrer";
                // a picture's own policy is stricter
                headers.TryAdd("Content-Security-Policy", Policy);
                return Task.CompletedTask;
            },
            context.Response
        );
        return next(context);
    }
}
