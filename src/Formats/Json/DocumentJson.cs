using System.Text.Json;
using System.Text.Json.Serialization;
using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Formats.Words.Json;

namespace FaithfulBracket.Formats.Json;

/// <summary>How Core types are written as JSON: camelCase, enums in kebab-case, points as [x, y].</summary>
public static class DocumentJson
{
    public static readonly JsonSerializerOptions Options = Configure(new(JsonSerializerDefaults.Web));

    public static JsonSerializerOptions Configure(JsonSerializerOptions options)
    {
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower, allowIntegerValues: false));
        options.Converters.Add(new PointConverter());
        options.Converters.Add(new PolygonConverter());
        options.Converters.Add(new PrecedenceConverter());
        options.Converters.Add(new StepIdConverter());
        options.Converters.Add(new ThingIdConverter());
        options.DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull;
        options.NumberHandling = JsonNumberHandling.Strict;
        options.Encoder = System.Text.Encodings.Web.JavaScriptEncoder.UnsafeRelaxedJsonEscaping;
        return options;
    }

    private sealed class PointConverter : JsonConverter<Point2>
    {
        public override Point2 Read(ref Utf8JsonReader reader, Type type, JsonSerializerOptions options)
        {
            var xy = JsonSerializer.Deserialize<double[]>(ref reader, options);
            return xy is { Length: 2 } ? new(xy[0], xy[1]) : throw new JsonException("Expected a point [x, y].");
        }

        public override void Write(Utf8JsonWriter writer, Point2 value, JsonSerializerOptions options)
        {
            writer.WriteStartArray();
            writer.WriteNumberValue(value.X);
            writer.WriteNumberValue(value.Y);
            writer.WriteEndArray();
        }
    }

    private sealed class PolygonConverter : JsonConverter<Polygon>
    {
        public override Polygon Read(ref Utf8JsonReader reader, Type type, JsonSerializerOptions options) =>
            JsonSerializer.Deserialize<Point2[]>(ref reader, options) is { Length: >= 3 } p
                ? new(p)
                : throw new JsonException(DocumentJsonWords.ExpectedAtLeastThreePoints);

        public override void Write(Utf8JsonWriter writer, Polygon value, JsonSerializerOptions options) =>
            JsonSerializer.Serialize(writer, value.Points, options);
    }

    private sealed class StepIdConverter : JsonConverter<StepId>
    {
        public override StepId Read(ref Utf8JsonReader reader, Type type, JsonSerializerOptions options) =>
            StepId.TryParse(reader.GetString(), out var id)
                ? id
                : throw new JsonException(DocumentJsonWords.ExpectedIdOfStep);

        public override void Write(Utf8JsonWriter writer, StepId value, JsonSerializerOptions options) =>
            writer.WriteStringValue(value.ToString());
    }

    private sealed class ThingIdConverter : JsonConverter<ThingId>
    {
        public override ThingId Read(ref Utf8JsonReader reader, Type type, JsonSerializerOptions options) =>
            ThingId.TryParse(reader.GetString(), out var id)
                ? id
                : throw new JsonException(DocumentJsonWords.ExpectedIdOfThing);

        public override void Write(Utf8JsonWriter writer, ThingId value, JsonSerializerOptions options) =>
            writer.WriteStringValue(value.ToString());
    }

    private sealed class PrecedenceConverter : JsonConverter<Precedence>
    {
        public override Precedence Read(ref Utf8JsonReader reader, Type type, JsonSerializerOptions options) =>
            JsonSerializer.Deserialize<string[]>(ref reader, options) is { Length: 2 } p
                ? new(p[0], p[1])
                : throw new JsonException("Expected [first, second].");

        public override void Write(Utf8JsonWriter writer, Precedence value, JsonSerializerOptions options) =>
            JsonSerializer.Serialize(writer, new[] { value.First, value.Second }, options);
    }
}
