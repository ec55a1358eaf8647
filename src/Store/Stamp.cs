using System.Globalization;

namespace FaithfulBracket.Store;

/// <summary>Instants as text, UTC, sortable.</summary>
internal static class Stamp
{
    public static string Of(TimeProvider time) => Of(time.GetUtcNow());

    public static string Of(DateTimeOffset at) =>
        at.UtcDateTime.ToString("yyyy-MM-dd'T'HH:mm:ss.fff'Z'", CultureInfo.InvariantCulture);
}
