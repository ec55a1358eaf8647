using System.Text.Json.Serialization.Metadata;
using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Orders;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace FaithfulBracket.Server.Http;

/// <summary>Describes the types that have their own JSON: points, outlines, precedence and statements.</summary>
internal sealed class OpenApiShapes : IOpenApiSchemaTransformer
{
    public Task TransformAsync(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancel)
    {
        var type = context.JsonTypeInfo.Type;
        if (Own(Nullable.GetUnderlyingType(type) ?? type) is { } own)
            ArrayOf(schema, (OpenApiSchema)own.Items!);
        // lists of such types lose what they are lists of
        else if (ItemOf(type) is { } item && (Own(item) ?? Text(item)) is { } items)
            ArrayOf(schema, items);
        else if ((Nullable.GetUnderlyingType(type) ?? type) is var plain && Text(plain) is not null)
        {
            schema.Type = JsonSchemaType.String;
            schema.Properties?.Clear();
            schema.Required?.Clear();
        }
        // the shared schema of an enum is the same whether it was first met where it may be missing
        else if ((Nullable.GetUnderlyingType(type) ?? type).IsEnum)
            schema.Enum = schema
                .Enum?.Where(v => v is not null && v.GetValueKind() != System.Text.Json.JsonValueKind.Null)
                .ToList();
        else if (schema.Properties is { Count: > 0 } properties)
        {
            // a reference that may be missing is not yet told as such when its owner is described
            var mayBeMissing = context
                .JsonTypeInfo.Properties.Where(p => p.IsGetNullable && p.PropertyType.IsClass)
                .Select(p => p.Name)
                .ToHashSet();
            schema.Required = properties
                .Where(p => !MayBeNull(p.Value) && !mayBeMissing.Contains(p.Key))
                .Select(p => p.Key)
                .ToHashSet();
        }
        return Task.CompletedTask;
    }

    /// <summary>A point is [x, y], an outline is points, a precedence [first, second]; null for any other type.</summary>
    private static OpenApiSchema? Own(Type type) =>
        type == typeof(Point2) ? Array(new() { Type = JsonSchemaType.Number })
        : type == typeof(Polygon) ? Array(Array(new() { Type = JsonSchemaType.Number }))
        : type == typeof(Precedence) ? Array(new() { Type = JsonSchemaType.String })
        : null;

    /// <summary>Names of steps and things and statements are text; null for any other type.</summary>
    private static OpenApiSchema? Text(Type type) =>
        type == typeof(StepId) || type == typeof(ThingId) || type == typeof(Core.Words.Message)
            ? new() { Type = JsonSchemaType.String }
            : null;

    /// <summary>Name of a shared schema; null for a statement, which is text wherever it stands.</summary>
    public static string? NameOf(JsonTypeInfo type) =>
        type.Type == typeof(Core.Words.Message) ? null : OpenApiOptions.CreateDefaultSchemaReferenceId(type);

    private static OpenApiSchema Array(OpenApiSchema items) => new() { Type = JsonSchemaType.Array, Items = items };

    private static Type? ItemOf(Type type) =>
        type.IsGenericType && type.GetGenericTypeDefinition() == typeof(IReadOnlyList<>)
            ? type.GetGenericArguments()[0]
            : null;

    /// <summary>
    /// The shared schema of a point: types with their own JSON look alike to the exporter, which may give it an outline's.
    /// </summary>
    public static void Mend(OpenApiDocument document)
    {
        if (
            document.Components?.Schemas?.TryGetValue(nameof(Point2), out var point) == true
            && point is OpenApiSchema p
        )
            p.Items = Own(typeof(Point2))!.Items;
    }

    private static bool MayBeNull(IOpenApiSchema s) =>
        s.Type?.HasFlag(JsonSchemaType.Null) == true || (s.OneOf?.Any(o => o.Type == JsonSchemaType.Null) ?? false);

    private static void ArrayOf(OpenApiSchema schema, OpenApiSchema items)
    {
        schema.Type = JsonSchemaType.Array;
        schema.Items = items;
        schema.Properties?.Clear();
        schema.Required?.Clear();
    }
}
