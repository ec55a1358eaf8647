namespace FaithfulBracket.Server.Http;

/// <summary>Headers that keep the page to what the server itself ships.</summary>
internal static class SafeHeaders
{
    private const string Policy =
        "default-src 'self'; img-src 'self' data: blob:; style-src 'self' 'unsafe-inline'; font-src 'self' data:; object-src 'none'; base-uri 'none'; frame-ancestors 'none'";

    public static Task AddAsync(HttpContext context, RequestDelegate next)
    {
        context.Response.Headers.XContentTypeOptions = "nosniff";
        context.Response.Headers.ContentSecurityPolicy = Policy;
        context.Response.Headers["Referrer-Policy"] = "no-referrer";
        return next(context);
    }
}
