using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Microsoft.Extensions.DependencyInjection;

namespace FaithfulBracket.Server.Stations;

/// <summary>Documents into the library: checked, kept, kept in batches.</summary>
internal static class IntakeEndpoints
{
    private const long MaxBatchBytes = 1L << 30;

    public static void Map(IEndpointRouteBuilder app)
    {
        var api = app.MapGroup("/api").WithTags("library");
        foreach (var kind in LibraryKinds.All)
        {
            api.MapPost(
                    $"/{kind.Path}",
                    (HttpRequest r, IServiceProvider s, bool? replace) =>
                        KeepAsync(
                            r,
                            s.GetRequiredKeyedService<Library>(kind.Name),
                            s.GetRequiredService<LibraryCache>(),
                            kind,
                            replace ?? false
                        )
                )
                .Accepts<JsonElement>("application/json");
            api.MapPost(
                    $"/{kind.Path}/batch",
                    (HttpRequest r, IServiceProvider s, bool? replace) =>
                        BatchAsync(
                            r,
                            s.GetRequiredKeyedService<Library>(kind.Name),
                            s.GetRequiredService<LibraryCache>(),
                            kind,
                            replace ?? false
                        )
                )
                .WithMetadata(new RequestSizeLimitAttribute(MaxBatchBytes))
                .WithDescription(IntakeEndpointsWords.OneDocumentLineEachAtMost);
        }
        api.MapPost("/library/check", CheckAsync).Accepts<JsonElement>("application/json");
    }

    private static async Task<IResult> KeepAsync(
        HttpRequest request,
        Library library,
        LibraryCache shop,
        LibraryKind kind,
        bool replace
    )
    {
        var document = kind.Read(await Bodies.BytesAsync(request, JsonInput.MaxBytes));
        shop.Offer(kind.Name, [(document.Digest, document.Parsed!)]);
        var address = $"/api/{kind.Path}/{Uri.EscapeDataString(document.Id)}";
        if (library.Keep([document], replace).Added == 1)
            return Results.Created(address, new { document.Id, address });
        request.HttpContext.Response.Headers.Location = address;
        return Results.Ok(new { document.Id, address });
    }

    /// <summary>
    /// Every line is read by its rules first and laid aside on disk; only when all were good does the library change.
    /// </summary>
    private static async Task<Ok<KeptCount>> BatchAsync(
        HttpRequest request,
        Library library,
        LibraryCache shop,
        LibraryKind kind,
        bool replace
    )
    {
        var parsed = new List<(string, object)>();
        const int mostFaults = 100;
        var faults = new List<InputFault>();
        using var aside = new DocumentSpool();
        var line = 0;
        await foreach (var text in BodyLines.ReadAsync(request, JsonInput.MaxBytes))
        {
            line++;
            if (text.Span.Trim(" \t\r"u8).IsEmpty)
                continue;
            try
            {
                var document = kind.Read(text);
                parsed.Add((document.Digest, document.Parsed!));
                aside.Add(document);
            }
            catch (MalformedJsonException e)
            {
                faults.Add(new($"/{line - 1}", $"Line {line}: {e.Message}"));
            }
            catch (InputException e)
            {
                faults.AddRange(
                    e.Faults.Select(f => new InputFault($"/{line - 1}{f.Field}", $"Line {line}: {f.Message}"))
                );
            }
            if (faults.Count >= mostFaults)
                break;
        }
        if (faults.Count > 0)
            throw new InputException(faults);
        shop.Offer(kind.Name, parsed);
        return TypedResults.Ok(library.Keep(aside.ReadBack(), replace));
    }

    /// <summary>Reads a dropped file and says what it is and what is wrong with it; keeps nothing.</summary>
    private static async Task<Ok<Checked>> CheckAsync(HttpRequest request, DocumentChecks checks)
    {
        ReadOnlyMemory<byte> bytes = await Bodies.BytesAsync(request, JsonInput.MaxBytes);
        try
        {
            return TypedResults.Ok(checks.Read(bytes));
        }
        catch (MalformedJsonException e)
        {
            return TypedResults.Ok(Checked.Broken([e.Fault]));
        }
        catch (InputException e)
        {
            return TypedResults.Ok(Checked.Broken(e.Faults));
        }
    }
}
