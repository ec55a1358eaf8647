using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Blocks.Assumed;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Documents.Editing;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Extensions.DependencyInjection;

namespace FaithfulBracket.Server.Stations;

/// <param name="Document">As it would be kept.</param>
/// <param name="Made">Places of what was added.</param>
internal sealed record EditedAnswer(string Document, IReadOnlyList<string> Made, Checked Checked);

/// <param name="Told">How much of the drawing agrees, and what it leaves open.</param>
internal sealed record UndersideAnswer(string Document, IReadOnlyList<string> Told, Checked Checked);

/// <param name="Document">Text to go on from; nothing is kept.</param>
internal sealed record DraftAnswer(string Id, string Document);

/// <param name="Id">Of the document that it was begun from; null where there is none.</param>
internal sealed record LikeAnswer(string? Id, string? Name, IReadOnlyList<LikeDifference> Differences);

/// <summary>Documents changed step by step, and blocks begun from the board that they are for; nothing is kept.</summary>
internal static class EditEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var api = app.MapGroup("/api").WithTags("library");
        api.MapPost("/library/edit", EditAsync)
            .Accepts<JsonElement>("application/json")
            .WithDescription(DocumentEditor.InWords);
        api.MapPost("/library/underside", UndersideAsync)
            .Accepts<IFormFileCollection>("multipart/form-data")
            .WithDescription(LayoutEndpoint.InWords)
            .DisableAntiforgery();
        api.MapPost("/boards/{id}/assumed-block", AssumedAsync).Accepts<JsonElement>("application/json");
        api.MapPost("/library/draft-like", LikeAsync).Accepts<JsonElement>("application/json");
        api.MapPost("/library/differences", DifferencesAsync).Accepts<JsonElement>("application/json");
    }

    /// <summary>Refuses with the places in the document that the rules do not take; the document sent stays as it is.</summary>
    private static async Task<Ok<EditedAnswer>> EditAsync(HttpRequest request, DocumentChecks checks)
    {
        var (document, edits) = await Bodies.ReadAsync(
            request,
            o =>
            {
                var edits = EditReader.Read(o);
                return (Document(o), edits);
            }
        );
        var edited = DocumentEditor.Apply(document, edits);
        return TypedResults.Ok(
            new EditedAnswer(edited.Text, edited.Made, checks.Read(DocumentText.Bytes(edited.Text)))
        );
    }

    private static JsonObject Document(ObjectReader o)
    {
        if (o.Raw("document") is { ValueKind: JsonValueKind.Object } document)
            return DocumentText.Read(document.GetRawText(), "/document");
        o.Fault("document", "Expected a document.");
        return [];
    }

    /// <summary>
    /// A drawing of the underside (files, with units and digits as for layouts) laid over a block's first plate (field
    /// document): its screws and lands take the drawn places.
    /// </summary>
    private static async Task<Ok<UndersideAnswer>> UndersideAsync(
        HttpRequest request,
        string? units,
        DocumentChecks checks
    )
    {
        var (layout, form) = await LayoutEndpoint.ReadAsync(request, units, null, null);
        var text = form["document"].ToString();
        if (text.Length == 0)
            throw new InputException("/document", EditEndpointsWords.ExpectedBlocksDocumentInFieldDocument);
        var block = BlockReader.Read(DocumentText.Bytes(text));
        if (block.Plates.Count == 0)
            throw new InputException("/document", EditEndpointsWords.BlockHasNoPlateYet);
        var laid = Underside.Lay(
            block.Plates[0],
            new(
                [.. layout.Holes.Select(h => new Core.Geometry.Point2(h.X, h.Y))],
                [.. layout.Parts.Select(p => p.Outline).OfType<Core.Geometry.Polygon>()],
                layout.Outline
            )
        );
        var document = DocumentText.Read(text, "/document");
        var edited = DocumentEditor.Apply(document, UndersideEdits.For(document, block.Plates[0], laid));
        return TypedResults.Ok(
            new UndersideAnswer(edited.Text, laid.Told, checks.Read(DocumentText.Bytes(edited.Text)))
        );
    }

    private static async Task<Ok<DraftAnswer>> AssumedAsync(string id, HttpRequest request, LibraryCache shop)
    {
        var board =
            shop.Boards.GetValueOrDefault(id) ?? throw new NotFoundException(MissingWords.LibraryHasNoBoard(id));
        var names = await Bodies.ReadAsync(
            request,
            o =>
            {
                var (maker, model) = (o.Text("maker"), o.Text("model"));
                return new BlockNames(
                    NewId($"{maker} {model}", shop.Blocks.Keys),
                    maker,
                    model,
                    o.OptionalChoice<BlockKind>("kind") ?? BlockKind.FullCover,
                    o.Flag("declared", false)
                );
            }
        );
        var block = AssumedBlock.For(board, names);
        return TypedResults.Ok(new DraftAnswer(block.Id, Encoding.UTF8.GetString(DocumentWriter.Write(block))));
    }

    /// <summary>
    /// A document under another name, to change what differs; with assumed a board's parts wait for a look.
    /// </summary>
    private static async Task<Ok<DraftAnswer>> LikeAsync(HttpRequest request, LibraryCache shop)
    {
        var (document, model, revision, assumed) = await Bodies.ReadAsync(
            request,
            o =>
            {
                var model = o.Text("model");
                var revision = o.OptionalText("revision");
                return (Document(o), model, revision, o.Flag("assumed", false));
            }
        );
        string? Said(string field) =>
            document[field] is JsonValue v && v.TryGetValue<string>(out var text) ? text : null;
        var from = Said("id");
        var id = NewId($"{Said("maker")} {model} {revision}", shop.Boards.Keys.Concat(shop.Blocks.Keys));
        document["id"] = id;
        document["model"] = model;
        if (revision is not null && document.ContainsKey("revision"))
            document["revision"] = revision;
        document["x-like"] = from;
        if (assumed && document["parts"] is JsonArray parts)
            foreach (var part in parts.OfType<JsonObject>())
                part["evidence"] = EnumNames<FigureGrade>.Name(FigureGrade.Assumed);
        return TypedResults.Ok(new DraftAnswer(id, DocumentText.Format(document)));
    }

    /// <summary>A document against the one that it was begun from; nothing where it was begun from none.</summary>
    private static async Task<Ok<LikeAnswer>> DifferencesAsync(HttpRequest request, IServiceProvider services)
    {
        var bytes = await Bodies.BytesAsync(request, JsonInput.MaxBytes);
        var document = DocumentText.Read(Encoding.UTF8.GetString(bytes.Span), "");
        if (
            (document["x-like"] as JsonValue)?.ToString() is not { } id
            || LibraryKinds.All.FirstOrDefault(k => k.Format == (document["format"] as JsonValue)?.ToString())
                is not { } kind
            || services.GetRequiredKeyedService<Library>(kind.Name).Find(id) is not { } kept
        )
            return TypedResults.Ok(new LikeAnswer(null, null, []));
        var like = DocumentText.Read(Encoding.UTF8.GetString(kept), "");
        return TypedResults.Ok(
            new LikeAnswer(id, (like["model"] as JsonValue)?.ToString() ?? id, LikeDifferences.Find(document, like))
        );
    }

    private static string NewId(string words, IEnumerable<string> taken) =>
        DocumentIds.Valid(words.Trim().ToLowerInvariant(), taken.ToHashSet());
}
