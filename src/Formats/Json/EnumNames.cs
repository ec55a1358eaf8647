using System.Reflection;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace FaithfulBracket.Formats.Json;

/// <summary>The names an enum has in documents: kebab-case, or as stated on the member.</summary>
public static class EnumNames<T>
    where T : struct, Enum
{
    private static readonly Dictionary<string, T> ByName = Enum.GetValues<T>().ToDictionary(Stated);

    public static IReadOnlyCollection<string> All => ByName.Keys;

    public static string Name(T value) => ByName.First(p => EqualityComparer<T>.Default.Equals(p.Value, value)).Key;

    public static bool TryParse(string text, out T value) => ByName.TryGetValue(text, out value);

    private static string Stated(T value) =>
        typeof(T).GetField(value.ToString())!.GetCustomAttribute<JsonStringEnumMemberNameAttribute>()?.Name
        ?? JsonNamingPolicy.KebabCaseLower.ConvertName(value.ToString());
}
