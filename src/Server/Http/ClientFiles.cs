using FaithfulBracket.Server.Words.Http;
using Microsoft.Extensions.FileProviders;

namespace FaithfulBracket.Server.Http;

/// <summary>Serves the built client and the published schemas; every other page path gets the client's first page.</summary>
internal static class ClientFiles
{
    /// <param name="demo">The first page says so: the demo has a hand of its own that signs.</param>
    public static void Map(WebApplication app, string? folder, bool demo)
    {
        var schemas = Path.Combine(AppContext.BaseDirectory, "formats");
        app.MapGet(
                "/formats/{kind}-1.schema.json",
                (string kind) =>
                    kind is "board" or "block" or "card" or "socket" or "machine" or "drawer"
                        ? Results.File(Path.Combine(schemas, $"{kind}-1.schema.json"), "application/schema+json")
                        : Results.NotFound()
            )
            .ExcludeFromDescription();
        var root = folder is null ? null : Path.GetFullPath(folder);
        if (root is null || !Directory.Exists(root))
        {
            app.MapGet("/", () => Results.Text(ClientFilesWords.ServerRunsClientIsNotBuilt)).ExcludeFromDescription();
            return;
        }
        var files = new PhysicalFileProvider(root);
        app.UseStaticFiles(
            new StaticFileOptions
            {
                FileProvider = files,
                ServeUnknownFileTypes = false,
                // built files carry a hash of their content in their name
                OnPrepareResponse = c =>
                    c.Context.Response.Headers.CacheControl = c.Context.Request.Path.StartsWithSegments("/assets")
                        ? "public, max-age=31536000, immutable"
                        : "no-cache",
            }
        );
        app.Use(
            async (context, next) =>
            {
                // a page of the client: whatever is no call, no file and nobody else's
                var path = context.Request.Path;
                if (
                    context.GetEndpoint() is not null
                    || path.StartsWithSegments("/api")
                    || Path.HasExtension(path.Value)
                    || !(HttpMethods.IsGet(context.Request.Method) || HttpMethods.IsHead(context.Request.Method))
                )
                {
                    await next(context);
                    return;
                }
                context.Response.Headers.CacheControl = "no-cache";
                context.Response.ContentType = "text/html; charset=utf-8";
                if (!demo)
                {
                    await context.Response.SendFileAsync(files.GetFileInfo("index.html"));
                    return;
                }
                using var reader = new StreamReader(files.GetFileInfo("index.html").CreateReadStream());
                var page = await reader.ReadToEndAsync(context.RequestAborted);
                await context.Response.WriteAsync(
                    page.Replace("<html ", "<html data-shop=\"demo\" ", StringComparison.Ordinal),
                    context.RequestAborted
                );
            }
        );
    }
}
