using System.Net;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Mvc;

namespace FaithfulBracket.Server.Http;

/// <summary>A shop whose file cannot be worked with: every page and every call says why and what to do.</summary>
internal static class StartupErrorPage
{
    public static void Serve(WebApplication app, DatabaseError trouble)
    {
        Console.Error.WriteLine($"\n  {trouble.Sentence}\n");
        app.Use(SafeHeaders.AddAsync);
        app.Use(new OwnPages(app.Configuration).CheckAsync);
        app.Run(async context =>
        {
            context.Response.StatusCode = StatusCodes.Status503ServiceUnavailable;
            if (context.Request.Path.StartsWithSegments("/api"))
                await context.Response.WriteAsJsonAsync(Problem(trouble), options: null, "application/problem+json");
            else
            {
                context.Response.ContentType = "text/html; charset=utf-8";
                await context.Response.WriteAsync(Page(trouble));
            }
        });
        app.Run();
    }

    /// <summary>The trouble as an answer to a call.</summary>
    public static ProblemDetails Problem(DatabaseError trouble) =>
        new()
        {
            Status =
                trouble.Code == "full"
                    ? StatusCodes.Status507InsufficientStorage
                    : StatusCodes.Status503ServiceUnavailable,
            Title = "The shop's file",
            Detail = trouble.Sentence,
            Type = ProblemKinds.TypeOf("The shop's file"),
            Extensions = { ["trouble"] = trouble.Code },
        };

    private static string Page(DatabaseError trouble) =>
        "<!doctype html><html lang=en><meta charset=utf-8><title>Faithful Bracket</title><h1>The "
        + $"shop cannot be opened</h1><p>{WebUtility.HtmlEncode(trouble.Sentence)}</p>";
}
