using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Layouts;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace FaithfulBracket.Server.Stations;

internal sealed record ColumnAnswer(string Signature, IReadOnlyDictionary<Column, int> Columns, LengthUnit? Units);

/// <summary>What the columns of tables mean: told once, remembered.</summary>
internal static class ColumnEndpoints
{
    private const int MaxColumns = 200,
        LongestSignature = 4000;

    public static void Map(IEndpointRouteBuilder app)
    {
        var api = app.MapGroup("/api/library/columns").WithTags("exchange");
        api.MapPost("/look", LookAsync).Accepts<IFormFileCollection>("multipart/form-data").DisableAntiforgery();
        api.MapPut("", PutAsync).Accepts<ColumnAnswer>("application/json");
        api.MapDelete("", Forget);
    }

    internal static Dictionary<string, ColumnMap> Known(ColumnMaps maps) =>
        maps.All()
            .ToDictionary(
                r => r.Signature,
                r => new ColumnMap(
                    JsonSerializer.Deserialize<Dictionary<Column, int>>(r.Columns, DocumentJson.Options)!,
                    r.Units is null ? null : LengthUnits.Parse(r.Units)
                )
            );

    /// <summary>The tables among the files, with what their columns are taken for.</summary>
    private static async Task<Ok<IReadOnlyList<TableLook>>> LookAsync(
        HttpRequest request,
        string? sheet,
        ColumnMaps maps
    ) => TypedResults.Ok(LayoutReader.Tables((await LayoutEndpoint.FilesAsync(request)).Files, Known(maps), sheet));

    private static async Task<NoContent> PutAsync(HttpRequest request, ColumnMaps maps)
    {
        var told = await Bodies.ReadAsync(
            request,
            o =>
            {
                var columns = new Dictionary<Column, int>();
                var c = o.Object("columns");
                foreach (var (name, column) in Enum.GetValues<Column>().Select(v => (EnumNames<Column>.Name(v), v)))
                    if (c.OptionalInteger(name, 0, MaxColumns) is { } index)
                        columns[column] = index;
                c.End();
                foreach (var (name, column) in (ReadOnlySpan<(string, Column)>)[("x", Column.X), ("y", Column.Y)])
                    if (!columns.ContainsKey(column))
                        o.Fault("columns", ColumnEndpointsWords.SayWhichColumnHolds(name));
                if (columns.GroupBy(k => k.Value).FirstOrDefault(g => g.Count() > 1) is { } twice)
                    o.Fault(
                        "columns",
                        ColumnEndpointsWords.ColumnIsStated(
                            twice.Key + 1,
                            string.Join(" and ", twice.Select(t => EnumNames<Column>.Name(t.Key)))
                        )
                    );
                return new ColumnAnswer(
                    o.Text("signature", LongestSignature),
                    columns,
                    o.OptionalChoice<LengthUnit>("units")
                );
            }
        );
        maps.Put(
            new(
                told.Signature,
                JsonSerializer.Serialize(told.Columns, DocumentJson.Options),
                told.Units is { } u ? EnumNames<LengthUnit>.Name(u) : null
            )
        );
        return TypedResults.NoContent();
    }

    private static NoContent Forget([FromQuery] string signature, ColumnMaps maps)
    {
        maps.Forget(signature);
        return TypedResults.NoContent();
    }
}
