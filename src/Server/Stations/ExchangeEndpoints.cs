using System.Text;
using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Layouts;
using FaithfulBracket.Formats.Packs;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Microsoft.Extensions.DependencyInjection;

namespace FaithfulBracket.Server.Stations;

/// <summary>A board drafted from layout files, before it is kept.</summary>
/// <param name="Document">The document that keeping it would store.</param>
/// <param name="Unknown">Kinds and heights that the files leave open, part by part.</param>
/// <param name="Questions">The same by groups of like footprints, the weightiest first.</param>
internal sealed record LayoutDraftAnswer(
    Board? Board,
    string? Document,
    LayoutResult Layout,
    IReadOnlyList<UnknownPart> Unknown,
    IReadOnlyList<PartQuestion> Questions
);

/// <summary>What keeping a pack would do to one document.</summary>
/// <param name="State">new, same or changed.</param>
internal sealed record PackLine(PackItemKind Kind, string Id, string State);

internal sealed record PackPreview(IReadOnlyList<PackLine> Lines, int New, int Same, int Changed, int Pictures);

/// <summary>Open formats in and out.</summary>
internal static class ExchangeEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var api = app.MapGroup("/api").WithTags("exchange");
        api.MapGet(
                "/boards/{id}/export",
                (string id, string? form, LibraryCache shop) =>
                    BoardExport(
                        shop.Boards.GetValueOrDefault(id)
                            ?? throw new NotFoundException(MissingWords.LibraryHasNoBoard(id)),
                        form
                    )
            )
            .Produces<string>(200, "text/plain");
        api.MapGet(
                "/blocks/{id}/export",
                (string id, string? form, LibraryCache shop) =>
                    BlockExport(
                        shop.Blocks.GetValueOrDefault(id)
                            ?? throw new NotFoundException(MissingWords.LibraryHasNoBlock(id)),
                        form
                    )
            )
            .Produces<string>(200, "text/plain");
        api.MapPost("/library/layout", DraftAsync)
            .Accepts<IFormFileCollection>("multipart/form-data")
            .DisableAntiforgery();
        api.MapGet("/library/pack", WritePack).Produces<byte[]>(200, "application/zip");
        api.MapPost("/library/pack/check", CheckPackAsync)
            .Accepts<byte[]>("application/zip")
            .WithMetadata(new RequestSizeLimitAttribute(CataloguePack.MaxBytes));
        api.MapPost("/library/pack", KeepPackAsync)
            .Accepts<byte[]>("application/zip")
            .WithMetadata(new RequestSizeLimitAttribute(CataloguePack.MaxBytes));
    }

    private static IResult BoardExport(Board board, string? form) =>
        form switch
        {
            "csv" => Download(TableWriter.Write(board), "text/csv", $"{board.Id}.csv"),
            "emn" => Download(IdfWriter.Board(board), "text/plain", $"{board.Id}.emn"),
            "emp" => Download(IdfWriter.Library(board), "text/plain", $"{board.Id}.emp"),
            "svg" => Download(DrawingWriter.Svg(board), "image/svg+xml", $"{board.Id}.svg"),
            "dxf" => Download(DrawingWriter.Dxf(board), "image/vnd.dxf", $"{board.Id}.dxf"),
            _ => throw new InputException("?form", ExchangeEndpointsWords.ExpectedCsvEmnEmpSvg(form)),
        };

    private static IResult BlockExport(Core.Blocks.Block block, string? form) =>
        form switch
        {
            "svg" => Download(DrawingWriter.Svg(block), "image/svg+xml", $"{block.Id}.svg"),
            "dxf" => Download(DrawingWriter.Dxf(block), "image/vnd.dxf", $"{block.Id}.dxf"),
            _ => throw new InputException("?form", ExchangeEndpointsWords.ExpectedSvgOrDxfFound(form)),
        };

    private static IResult Download(string text, string type, string name) =>
        Results.File(Encoding.UTF8.GetBytes(text), type, name);

    /// <summary>
    /// Layout files and what they do not say (fields maker, model, boardCode, revision, die, answers) into a board to look at;
    /// nothing is kept.
    /// </summary>
    private static async Task<Ok<LayoutDraftAnswer>> DraftAsync(
        HttpRequest request,
        string? units,
        string? digits,
        string? sheet,
        ColumnMaps maps
    )
    {
        var (layout, form) = await LayoutEndpoint.ReadAsync(request, units, digits, sheet, ColumnEndpoints.Known(maps));
        layout = LayoutQuestions.With(layout, Answers(form["answers"].ToString()));
        string Field(string name, string otherwise) =>
            form.TryGetValue(name, out var v) && v.ToString().Trim() is { Length: > 0 and <= 200 } text
                ? text
                : otherwise;
        var model = Field(
            "model",
            Path.GetFileNameWithoutExtension(form.Files.Count > 0 ? form.Files[0].FileName : "board")
        );
        var (maker, code, revision) = (
            Field("maker", "unknown maker"),
            Field("boardCode", "none"),
            Field("revision", "none")
        );
        var die = Field("die", "") is { Length: > 0 } d
            ? d
            : layout.Parts.FirstOrDefault(p => p.Kind == PartKind.Die)?.Id;
        if (layout.Outline is null && layout.Holes.Count + layout.Parts.Count < 2)
            return TypedResults.Ok(new LayoutDraftAnswer(null, null, layout, [], []));
        var board = LayoutBoard.From(layout, new(Slug($"{model}-{revision}"), maker, model, code, revision, die));
        var document = DocumentWriter.Write(board);
        BoardReader.Read(document);
        var questions = LayoutQuestions.Create(layout, die);
        return TypedResults.Ok(
            new LayoutDraftAnswer(
                board,
                Encoding.UTF8.GetString(document),
                layout with
                {
                    Assumptions = [.. layout.Assumptions, .. LayoutBoard.TakenForGranted(layout)],
                },
                LayoutQuestions.PartByPart(questions),
                questions
            )
        );
    }

    private const int MaxAnswers = 2000;

    /// <summary>What somebody said of kinds and heights: the form's field "answers", JSON.</summary>
    private static List<PartAnswer> Answers(string text)
    {
        if (text.Length == 0)
            return [];
        const double tallest = 200;
        try
        {
            var said = JsonSerializer.Deserialize<List<PartAnswer>>(text, DocumentJson.Options);
            if (said is not { Count: <= MaxAnswers } || said.Exists(a => a?.Parts is null))
                throw new InputException("/answers", ExchangeEndpointsWords.ExpectedListOfAtMostAnswers(MaxAnswers));
            if (said.FindIndex(a => a.HeightMm is { } h && !(h is > 0 and <= tallest)) is >= 0 and var at)
                throw new InputException($"/answers/{at}/heightMm", ExchangeEndpointsWords.ExpectedOverTo(tallest));
            return said;
        }
        catch (JsonException)
        {
            throw new InputException("/answers", ExchangeEndpointsWords.ExpectedListOfPartsKind);
        }
    }

    private static string Slug(string text)
    {
        var s = new string([.. text.ToLowerInvariant().Select(c => char.IsAsciiLetterOrDigit(c) ? c : '-')]).Trim('-');
        while (s.Contains("--", StringComparison.Ordinal))
            s = s.Replace("--", "-", StringComparison.Ordinal);
        return s.Length == 0 ? "board" : s;
    }

    private static IResult WritePack(
        [FromKeyedServices("board")] Library boards,
        [FromKeyedServices("block")] Library blocks,
        [FromKeyedServices("card")] Library cards,
        [FromKeyedServices("socket")] Library sockets,
        [FromKeyedServices("machine")] Library machines,
        PhotoFolder shelf,
        CataloguePictures pictures
    )
    {
        IEnumerable<(PackItemKind, string, byte[], string?)> Documents(PackItemKind kind, Library library) =>
            library.All().Select(d => (kind, d.Id, d.Document, (string?)null));
        // beside the memory, and gone once it is sent
        var file = new FileStream(
            Path.Combine(Path.GetTempPath(), Path.GetRandomFileName()),
            FileMode.CreateNew,
            FileAccess.ReadWrite,
            FileShare.None,
            64 * 1024,
            FileOptions.DeleteOnClose
        );
        try
        {
            CataloguePack.Write(
                Documents(PackItemKind.Board, boards)
                    .Concat(Documents(PackItemKind.Block, blocks))
                    .Concat(Documents(PackItemKind.Card, cards))
                    .Concat(Documents(PackItemKind.Socket, sockets))
                    .Concat(Documents(PackItemKind.Machine, machines))
                    .Concat(Pictures(pictures, shelf)),
                file
            );
            file.Position = 0;
            return Results.File(file, "application/zip", "library.pack.zip");
        }
        catch
        {
            file.Dispose();
            throw;
        }
    }

    /// <summary>One at a time; a picture whose file is gone is left out.</summary>
    private static IEnumerable<(PackItemKind, string, byte[], string?)> Pictures(
        CataloguePictures pictures,
        PhotoFolder shelf
    )
    {
        foreach (var p in pictures.All())
            if (shelf.Read(p.File) is { } content)
                yield return (PackItemKind.Picture, $"{p.Kind}-{p.OfId}-{p.File}", content, $"{p.Kind}/{p.OfId}");
    }

    private static async Task<Ok<PackPreview>> CheckPackAsync(
        HttpRequest request,
        [FromKeyedServices("board")] Library boards,
        [FromKeyedServices("block")] Library blocks,
        [FromKeyedServices("card")] Library cards,
        [FromKeyedServices("socket")] Library sockets,
        [FromKeyedServices("machine")] Library machines
    )
    {
        var items = CataloguePack.Read(await Bodies.BytesAsync(request, CataloguePack.MaxBytes));
        var known = boards
            .Digests()
            .Select(d => (PackItemKind.Board, d))
            .Concat(blocks.Digests().Select(d => (PackItemKind.Block, d)))
            .Concat(cards.Digests().Select(d => (PackItemKind.Card, d)))
            .Concat(sockets.Digests().Select(d => (PackItemKind.Socket, d)))
            .Concat(machines.Digests().Select(d => (PackItemKind.Machine, d)))
            .ToDictionary(d => (d.Item1, d.d.Id), d => d.d.Digest);
        List<PackLine> lines =
        [
            .. items
                .Where(i => i.Kind != PackItemKind.Picture)
                .Select(i => new PackLine(
                    i.Kind,
                    i.Id,
                    !known.TryGetValue((i.Kind, i.Id), out var digest) ? "new"
                        : digest == LibraryDocuments.Digest(i.Content) ? "same"
                        : "changed"
                )),
        ];
        return TypedResults.Ok(
            new PackPreview(
                lines,
                lines.Count(l => l.State == "new"),
                lines.Count(l => l.State == "same"),
                lines.Count(l => l.State == "changed"),
                items.Count - lines.Count
            )
        );
    }

    /// <summary>Keeps a whole pack or nothing; changed documents only with ?replace=true.</summary>
    private static async Task<Ok<KeptCount>> KeepPackAsync(
        HttpRequest request,
        bool? replace,
        CataloguePictures shelf,
        PhotoFolder photos,
        [FromKeyedServices("board")] Library boards,
        [FromKeyedServices("block")] Library blocks,
        [FromKeyedServices("card")] Library cards,
        [FromKeyedServices("socket")] Library sockets,
        [FromKeyedServices("machine")] Library machines
    )
    {
        var items = CataloguePack.Read(await Bodies.BytesAsync(request, CataloguePack.MaxBytes));
        // pictures of things that neither the pack nor the library holds belong to nobody
        var known = items
            .Select(i => $"{i.Kind}/{i.Id}".ToLowerInvariant())
            .Concat(boards.Digests().Select(d => $"board/{d.Id}"))
            .Concat(blocks.Digests().Select(d => $"block/{d.Id}"))
            .ToHashSet();
        var stray = items
            .Where(i => i.Of is not null && !known.Contains(i.Of))
            .Select(i => new InputFault($"/{i.Path}", ExchangeEndpointsWords.ItIsPictureOfWhichNeither(i.Of)))
            .ToList();
        if (stray.Count > 0)
            throw new InputException(stray);
        List<NewCataloguePicture> pictures =
        [
            .. items
                .Where(i => i is { Picture: not null, Of: not null })
                .Select(i => new NewCataloguePicture(
                    i.Of![..5],
                    i.Of[6..],
                    photos.Put(i.Picture!.Content, i.Picture.Extension),
                    i.Picture.MediaType,
                    null
                )),
        ];
        var kept = Library.KeepTogether(
            replace ?? false,
            shelf,
            pictures,
            (boards, items.Where(i => i.Kind == PackItemKind.Board).Select(i => LibraryDocuments.Board(i.Content))),
            (blocks, items.Where(i => i.Kind == PackItemKind.Block).Select(i => LibraryDocuments.Block(i.Content))),
            (cards, items.Where(i => i.Kind == PackItemKind.Card).Select(i => LibraryDocuments.Card(i.Content))),
            (sockets, items.Where(i => i.Kind == PackItemKind.Socket).Select(i => LibraryDocuments.Socket(i.Content))),
            (
                machines,
                items.Where(i => i.Kind == PackItemKind.Machine).Select(i => LibraryDocuments.Machine(i.Content))
            )
        );
        return TypedResults.Ok(kept);
    }
}
