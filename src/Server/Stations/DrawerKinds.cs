using System.Text.Json.Nodes;
using FaithfulBracket.Formats.Documents;

namespace FaithfulBracket.Server.Stations;

/// <summary>What a row of a table is, and what it is called, where it does not say so.</summary>
internal static class DrawerKinds
{
    public static string? Guess(JsonObject fields) =>
        fields.ContainsKey("thread") && fields.ContainsKey("lengthMm") ? "screw"
        : fields.ContainsKey("thicknessMm") && fields.ContainsKey("material") ? "pad"
        : fields.ContainsKey("gramsLeft") ? "paste"
        : fields.ContainsKey("amount") && fields.ContainsKey("name") ? "consumable"
        : null;

    public static string? IdFor(string kind, JsonObject fields)
    {
        string? Name(params string[] names) =>
            names.All(fields.ContainsKey) ? string.Join('-', names.Select(n => fields[n]!.ToString())) : null;
        var words = kind switch
        {
            "screw" => Name("thread", "lengthMm"),
            "pad" => Name("material", "thicknessMm", "widthMm", "depthMm"),
            "tool" or "consumable" => Name("name"),
            _ => null,
        };
        return words is null ? null : DocumentIds.Valid(words.ToLowerInvariant(), new HashSet<string>());
    }
}
