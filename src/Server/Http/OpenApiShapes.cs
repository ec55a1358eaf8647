using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Orders;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace FaithfulBracket.Server.Http;

/// <summary>Describes the types that have their own JSON: points, outlines and precedence.</summary>
internal sealed class OpenApiShapes : IOpenApiSchemaTransformer
{
    public Task TransformAsync(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancel)
    {
        var type = context.JsonTypeInfo.Type;
        if (type == typeof(Point2) || type == typeof(Point2?))
            ArrayOf(schema, new OpenApiSchema { Type = JsonSchemaType.Number });
        else if (type == typeof(Polygon))
            ArrayOf(
                schema,
                new OpenApiSchema
                {
                    Type = JsonSchemaType.Array,
                    Items = new OpenApiSchema { Type = JsonSchemaType.Number },
                }
            );
        else if (
            (Nullable.GetUnderlyingType(type) ?? type) is var plain
            && (plain == typeof(StepId) || plain == typeof(ThingId))
        )
        {
            schema.Type = JsonSchemaType.String;
            schema.Properties?.Clear();
            schema.Required?.Clear();
        }
        else if (type == typeof(Precedence))
            ArrayOf(schema, new OpenApiSchema { Type = JsonSchemaType.String });
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
