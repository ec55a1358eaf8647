using System.Text.Json;
using System.Text.Json.Nodes;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Blocks.Depths;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Documents.Editing;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>Steps as read, and the block with them taken in.</summary>
internal sealed record LandDepthsAnswer(IReadOnlyList<StepDepth> Steps, string Document, Checked Checked);

/// <summary>Depths of a block that is being described, against the board it is for; nothing is kept.</summary>
internal static class LandDepthsEndpoint
{
    private const int MaxLands = 500;
    private const double MaxMm = 100;

    /// <summary>Where a document remembers what was read: the steps can be calculated again.</summary>
    private const string Remembered = "x-depths";

    public static void Map(IEndpointRouteBuilder app) =>
        app.MapPost("/api/library/depths", AnswerAsync)
            .WithTags("library")
            .Accepts<JsonElement>("application/json")
            .WithDescription(LandDepthsEndpointWords.LimitsDocumentOfMiBLands(MaxLands));

    private static async Task<Ok<LandDepthsAnswer>> AnswerAsync(
        HttpRequest request,
        LibraryCache shop,
        DocumentChecks checks
    )
    {
        var (text, boardId, die, lands, said) = await Bodies.ReadAsync(
            request,
            o =>
            {
                var readings = o.Object("readings");
                var said = o.Raw("readings");
                var die = readings.OptionalNumber("dieReadingMm", -MaxMm, MaxMm);
                var lands = Lands(readings, shop);
                readings.End();
                var document = o.Raw("document");
                if (document is not { ValueKind: JsonValueKind.Object })
                    o.Fault("document", "Expected a block.");
                return (document?.GetRawText() ?? "", o.Text("board"), die, lands, said?.GetRawText() ?? "{}");
            }
        );
        var board =
            shop.Boards.GetValueOrDefault(boardId)
            ?? throw new NotFoundException(MissingWords.LibraryHasNoBoard(boardId));
        var block = BlockReader.Read(DocumentText.Bytes(text));
        var steps = LandDepths.Compute(board, block, die, lands);
        var edits = new List<DocumentEdit> { new SetEdit($"/{Remembered}", DocumentText.Read(said, "/readings")) };
        edits.AddRange(Taken(block, steps, die is not null));
        var edited = DocumentEditor.Apply(DocumentText.Read(text, "/document"), edits);
        return TypedResults.Ok(new LandDepthsAnswer(steps, edited.Text, checks.Read(DocumentText.Bytes(edited.Text))));
    }

    /// <summary>Each step with its tolerance and how it is known; the die land they were read against with them.</summary>
    private static IEnumerable<DocumentEdit> Taken(Block block, IReadOnlyList<StepDepth> steps, bool gauged)
    {
        const int digits = 3;
        for (var p = 0; p < block.Plates.Count; p++)
        for (var l = 0; l < block.Plates[p].Lands.Count; l++)
        {
            var land = block.Plates[p].Lands[l];
            var at = $"/plates/{p}/lands/{l}";
            if (steps.FirstOrDefault(s => s.Land == land.Id) is { } step)
            {
                yield return new SetEdit($"{at}/stepMm", Math.Round(step.StepMm, digits));
                yield return new SetEdit($"{at}/stepTolMm", Math.Round(step.StepTolMm, digits));
                yield return new SetEdit($"{at}/evidence", EnumNames<FigureGrade>.Name(step.Evidence));
            }
            else if (land is { Through: not Through.Pad, Evidence: FigureGrade.Assumed } && steps.Count > 0)
                yield return new SetEdit(
                    $"{at}/evidence",
                    EnumNames<FigureGrade>.Name(gauged ? FigureGrade.Measured : FigureGrade.Manual)
                );
        }
    }

    private static Dictionary<string, LandReading> Lands(ObjectReader readings, LibraryCache shop)
    {
        var materials = new MaterialDictionary(
            new Dictionary<string, PadMaterial>(),
            id => shop.Drawer.Materials.FirstOrDefault(m => m.Id == id)
        );
        var lands = new Dictionary<string, LandReading>();
        if (readings.OptionalObject("lands") is not { } all)
            return lands;
        if (readings.Raw("lands") is not { ValueKind: JsonValueKind.Object } raw)
            return lands;
        foreach (var name in raw.EnumerateObject().Select(p => p.Name).Distinct().Take(MaxLands))
        {
            var land = all.Object(name);
            var (gauge, left, pad) = (
                land.OptionalNumber("gaugeMm", -MaxMm, MaxMm),
                land.OptionalNumber("leftMm", 0, MaxMm),
                land.OptionalNumber("padMm", 0.05, 20)
            );
            PadMaterial? material = null;
            if (land.OptionalText("material") is { } id && !materials.TryGetValue(id, out material))
                land.Fault("material", LandDepthsEndpointWords.DrawerHasNoPadMaterial(id));
            land.End();
            lands[name] = new(gauge, left, pad, material);
        }
        all.End();
        return lands;
    }
}
