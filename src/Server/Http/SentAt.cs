using System.Globalization;
using System.Text.RegularExpressions;
using FaithfulBracket.Core;
using FaithfulBracket.Server.Words.Http;

namespace FaithfulBracket.Server.Http;

/// <summary>
/// When something was done at the bench: an instant with its zone, corrected by the offset that the device measured,
/// between the opening of the job and now.
/// </summary>
internal static partial class SentAt
{
    /// <summary>How exactly a device knows its offset.</summary>
    private static readonly TimeSpan Tolerance = TimeSpan.FromSeconds(10);

    /// <summary>No device's clock is off by more than this and still told.</summary>
    private static readonly TimeSpan MaxOffset = TimeSpan.FromDays(3660);

    private const int MaxText = 40;

    /// <summary>An instant in ISO 8601 with its zone, such as 2026-01-31T10:20:30Z; nothing else is one.</summary>
    public static bool TryParse(string? text, out DateTimeOffset at)
    {
        at = default;
        return text is { Length: <= MaxText }
            && Instant().IsMatch(text)
            && DateTimeOffset.TryParse(text, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out at);
    }

    /// <summary>Reads the corrected instant; null with a fault where it is not valid.</summary>
    /// <param name="opened">When the job was opened.</param>
    public static DateTimeOffset? Done(
        string? text,
        string pointer,
        DateTimeOffset opened,
        DateTimeOffset now,
        List<InputFault> faults
    )
    {
        if (text is null)
            return null;
        if (!TryParse(text, out var at))
            faults.Add(new(pointer, SentAtWords.ExpectedInstantWithZoneSuch));
        else if (at < opened - Tolerance || at > now + Tolerance)
            faults.Add(
                new(pointer, SentAtWords.ExpectedInstantBetweenOpeningOfJob(DeviceTime(opened), DeviceTime(now)))
            );
        else
            return at > now ? now
                : at < opened ? opened
                : at;
        return null;
    }

    private static string DeviceTime(DateTimeOffset at) =>
        at.UtcDateTime.ToString("yyyy-MM-dd'T'HH:mm:ss'Z'", CultureInfo.InvariantCulture);

    /// <summary>Reads what the device's own clock said; null with a fault where it is not valid.</summary>
    public static DateTimeOffset? Device(string? text, string pointer, DateTimeOffset now, List<InputFault> faults)
    {
        if (text is null)
            return null;
        if (TryParse(text, out var at) && (at - now).Duration() <= MaxOffset)
            return at;
        faults.Add(new(pointer, SentAtWords.ExpectedWhatDevicesClockSaidSuch));
        return null;
    }

    [GeneratedRegex(@"^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d{1,7})?(Z|[+-]\d\d:\d\d)$")]
    private static partial Regex Instant();
}
