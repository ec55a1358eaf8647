using System.Security.Cryptography;
using System.Text.Json;

namespace FaithfulBracket.Formats.Json;

/// <summary>Tells whether two documents say the same: fields sorted, numbers by value, no white space.</summary>
public static class CanonicalJson
{
    public static string Digest(JsonElement root)
    {
        using var buffer = new MemoryStream();
        using (var writer = new Utf8JsonWriter(buffer))
            Write(root, writer);
        return Convert.ToHexStringLower(SHA256.HashData(buffer.GetBuffer().AsSpan(0, (int)buffer.Length)));
    }

    private static void Write(JsonElement e, Utf8JsonWriter w)
    {
        switch (e.ValueKind)
        {
            case JsonValueKind.Object:
                w.WriteStartObject();
                foreach (var p in e.EnumerateObject().OrderBy(p => p.Name, StringComparer.Ordinal))
                {
                    w.WritePropertyName(p.Name);
                    Write(p.Value, w);
                }
                w.WriteEndObject();
                break;
            case JsonValueKind.Array:
                w.WriteStartArray();
                foreach (var item in e.EnumerateArray())
                    Write(item, w);
                w.WriteEndArray();
                break;
            case JsonValueKind.Number:
                w.WriteNumberValue(e.GetDouble());
                break;
            default:
                e.WriteTo(w);
                break;
        }
    }
}
