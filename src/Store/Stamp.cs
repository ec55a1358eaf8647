using System.Globalization;

namespace FaithfulBracket.Store;

/// <summary>Instants as text, UTC, sortable.</summary>
internal static class Stamp
{
    public static string Format(TimeProvider time) => Format(time.GetUtcNow());

    public static string Format(DateTimeOffset at) =>
        at.UtcDateTime.ToString("yyyy-MM-dd'T'HH:mm:ss.fff'Z'", CultureInfo.InvariantCulture);
}
