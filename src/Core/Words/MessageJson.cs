using System.Text.Json;
using System.Text.Json.Serialization;

namespace FaithfulBracket.Core.Words;

/// <summary>A statement goes out as its sentence; what was kept is read as a quotation.</summary>
public sealed class MessageJson : JsonConverter<Message>
{
    public override Message? Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        reader.GetString() is { } text ? Message.Quote(text) : null;

    public override void Write(Utf8JsonWriter writer, Message value, JsonSerializerOptions options) =>
        writer.WriteStringValue(value.ToString());
}
