using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Formats.Drawers;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>What one row of a table does to the drawer.</summary>
/// <param name="State">new, same or changed.</param>
/// <param name="Was">Before, where it changes; the fields that differ.</param>
/// <param name="Becomes">The same fields after.</param>
internal sealed record DrawerTableLine(int Line, string Kind, string Id, string State, string? Was, string? Becomes);

/// <param name="Kept">Whether it was kept; false where it was only looked at.</param>
internal sealed record DrawerTableAnswer(
    IReadOnlyList<DrawerTableLine> Lines,
    int New,
    int Changed,
    int Same,
    bool Kept
);

internal sealed record PadCurve(IReadOnlyList<Core.Geometry.Point2> Curve);

/// <summary>The drawer as a table: out to be counted, looked at, and back in whole or not at all.</summary>
internal static class DrawerTableEndpoints
{
    private const int MaxBytes = 16 * 1024 * 1024,
        MaxReadings = 20;

    public static void Map(IEndpointRouteBuilder app)
    {
        var drawer = app.MapGroup("/api/drawer").WithTags("drawer");
        drawer
            .MapGet(
                "/table",
                (Shop.LibraryCache shop) =>
                    Results.File(Encoding.UTF8.GetBytes(DrawerTable.Write(shop.StatedDrawer)), "text/csv", "drawer.csv")
            )
            .Produces<string>(200, "text/csv");
        drawer
            .MapPost("/table", TakeAsync)
            .Accepts<string>("text/csv", "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet")
            .WithDescription(DrawerTable.InWords);
        app.MapPost("/api/compute/pad-curve", CurveAsync).WithTags("drawer").Accepts<JsonElement>("application/json");
    }

    /// <param name="keep">Absent only looks.</param>
    /// <param name="sheet">Of a workbook; absent takes the first.</param>
    private static async Task<Ok<DrawerTableAnswer>> TakeAsync(
        bool? keep,
        string? sheet,
        string? by,
        HttpRequest request,
        DrawerItems items
    )
    {
        var rows = DrawerTable.Read(await Bodies.BytesAsync(request, MaxBytes), sheet);
        var kept = items.All();
        var faults = new List<InputFault>();
        var lines = new List<DrawerTableLine>();
        var changes = new Dictionary<(string, string), DrawerChange>();
        foreach (var row in rows)
            if (One(row, kept, faults) is var (change, line))
            {
                if (changes.ContainsKey((line.Kind, line.Id)))
                    faults.Add(new($"/{row.Line}/id", $"Line {row.Line}: {line.Kind} \"{line.Id}\" stands twice."));
                changes[(line.Kind, line.Id)] = change;
                lines.Add(line);
            }
        if (faults.Count > 0)
            throw new InputException(faults);
        var doing = keep == true;
        if (doing)
            items.PutTogether([.. lines.Where(l => l.State != "same").Select(l => changes[(l.Kind, l.Id)])], by);
        return TypedResults.Ok(
            new DrawerTableAnswer(
                lines,
                lines.Count(l => l.State == "new"),
                lines.Count(l => l.State == "changed"),
                lines.Count(l => l.State == "same"),
                doing
            )
        );
    }

    /// <summary>The row laid over the item that stands, checked by the rules of its kind.</summary>
    private static (DrawerChange Change, DrawerTableLine Line)? One(
        DrawerRowRead row,
        IReadOnlyList<DrawerRow> kept,
        List<InputFault> faults
    )
    {
        void Fault(string what) => faults.Add(new($"/{row.Line}", $"Line {row.Line}: {what}"));
        var same = kept.Where(k => k.Id == row.Id && (row.Kind is null || k.Kind == row.Kind)).ToList();
        if (same.Count > 1)
        {
            Fault(DrawerTableEndpointsWords.SeveralItemsHaveId(row.Id));
            return null;
        }
        var was = same.Count == 1 ? same[0] : null;
        if ((was?.Kind ?? row.Kind ?? DrawerKinds.Guess(row.Fields)) is not { } kind)
        {
            Fault(DrawerTableEndpointsWords.WhatKindOfItem);
            return null;
        }
        if ((row.Id ?? DrawerKinds.IdFor(kind, row.Fields)) is not { } id)
        {
            Fault(DrawerTableEndpointsWords.IdIsMissing);
            return null;
        }
        // a row without an id is the item that such a row became before
        was ??= kept.FirstOrDefault(k => k.Kind == kind && k.Id == id);
        var before = was is null ? null : JsonNode.Parse(was.Content)!.AsObject();
        var item = before?.DeepClone().AsObject() ?? [];
        item["id"] = id;
        foreach (var (name, value) in row.Fields)
            // a paste's material is told by its name here, and stands whole in the item
            if (!(kind == "paste" && name == "material"))
                item[name] = value?.DeepClone();
        if (kind == "paste" && before is null)
        {
            var of = row.Fields["material"]?.GetValue<string>();
            if (Pastes(kept).FirstOrDefault(p => p["material"]?["id"]?.GetValue<string>() == of) is not { } like)
            {
                Fault(DrawerTableEndpointsWords.NewPasteNeedsMaterialThatAnother);
                return null;
            }
            item["material"] = like["material"]!.DeepClone();
        }
        var own = new List<InputFault>();
        string content;
        using (var json = JsonDocument.Parse(item.ToJsonString()))
        {
            var reader = new ObjectReader(json.RootElement, "", own);
            var read = DrawerEndpoints.Item(kind, id, reader);
            reader.End();
            content = JsonSerializer.Serialize(read, read.GetType(), DocumentJson.Options);
        }
        if (own.Count > 0)
        {
            faults.AddRange(
                own.Select(f => new InputFault(
                    $"/{row.Line}{f.Field}",
                    $"Line {row.Line}, {f.Field.TrimStart('/')}: {f.Message}"
                ))
            );
            return null;
        }
        var after = JsonNode.Parse(content)!.AsObject();
        List<string> differ =
        [
            .. after.Select(f => f.Key).Where(k => before is null || !JsonNode.DeepEquals(before[k], after[k])),
        ];
        var state =
            before is null ? "new"
            : differ.Count == 0 ? "same"
            : "changed";
        string Words(JsonObject o) => string.Join(", ", differ.Select(k => $"{k} {o[k]?.ToString() ?? "none"}"));
        return (
            new(kind, id, content, was?.Version ?? 0),
            new(
                row.Line,
                kind,
                id,
                state,
                state == "changed" ? Words(before!) : null,
                state == "changed" ? Words(after) : null
            )
        );
    }

    private static IEnumerable<JsonObject> Pastes(IReadOnlyList<DrawerRow> kept) =>
        kept.Where(k => k.Kind == "paste").Select(k => JsonNode.Parse(k.Content)!.AsObject());

    private static async Task<Ok<PadCurve>> CurveAsync(HttpRequest request)
    {
        var (thickness, area, readings) = await Bodies.ReadAsync(
            request,
            o =>
            {
                var readings = o.Objects(
                    "readings",
                    r =>
                    {
                        var reading = new WeighedReading(r.Number("massG", 0.1, 1e6), r.Number("leftMm", 0.01, 20));
                        r.End();
                        return reading;
                    }
                );
                if (readings.Count is < 2 or > MaxReadings)
                    o.Fault("readings", DrawerTableEndpointsWords.ExpectedToReadingsFound(MaxReadings, readings.Count));
                return (o.Number("thicknessMm", 0.05, 20), o.Number("areaMm2", 1, 1e6), readings);
            }
        );
        return TypedResults.Ok(new PadCurve(WeighedPad.Curve(thickness, area, readings)));
    }
}
