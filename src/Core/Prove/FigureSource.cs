using System.Globalization;
using System.Text.Json.Serialization;
using FaithfulBracket.Core.Words.Prove;

namespace FaithfulBracket.Core.Prove;

/// <summary>Where a figure comes from.</summary>
public enum SourceKind
{
    ByHand,
    File,
    Device,

    /// <summary>By a stand-in, for practice: nobody measured it.</summary>
    Simulated,
}

/// <summary>Where a reading, log, leak test or picture comes from.</summary>
/// <param name="Instrument">What it was read with; null where nobody said.</param>
/// <param name="CheckedOn">The day the instrument was last checked, ISO 8601.</param>
/// <param name="File">Name of the file it came out of.</param>
/// <param name="Digest">SHA-256 of that file, hexadecimal.</param>
[JsonUnmappedMemberHandling(JsonUnmappedMemberHandling.Disallow)]
public sealed record FigureSource(
    [property: JsonRequired] SourceKind Kind,
    string? Instrument = null,
    string? CheckedOn = null,
    string? File = null,
    string? Digest = null
)
{
    public static readonly FigureSource ByHand = new(SourceKind.ByHand);

    private const int MaxName = 120,
        DigestLength = 64;

    /// <summary>Every broken rule, by field; empty where it can be.</summary>
    /// <param name="practice">Whether figures of a stand-in may be kept.</param>
    public IEnumerable<InputFault> Faults(bool practice, DateOnly today)
    {
        if (Kind == SourceKind.Simulated && !practice)
            yield return new("/source/kind", FigureSourceWords.NobodyMeasuredThis);
        if (Instrument is { Length: > MaxName })
            yield return new("/source/instrument", FigureSourceWords.ExpectedAtMostCharacters(MaxName));
        if (File is { Length: > MaxName })
            yield return new("/source/file", FigureSourceWords.ExpectedAtMostCharacters(MaxName));
        if (CheckedOn is { } day && !(Day(day) is { } on && on <= today && on.Year > 1990))
            yield return new("/source/checkedOn", FigureSourceWords.ExpectedDaySuchAsNotAfter);
        if (Digest is { } digest && !(digest.Length == DigestLength && digest.All(char.IsAsciiHexDigit)))
            yield return new("/source/digest", $"Expected {DigestLength} hexadecimal digits.");
    }

    private static DateOnly? Day(string text) =>
        DateOnly.TryParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day)
            ? day
            : null;

    /// <summary>As a record says it.</summary>
    public string InWords()
    {
        var with = Instrument is { } i ? $" with {i}" : "";
        var check = CheckedOn is { } day ? $", checked {day}" : "";
        return Kind switch
        {
            SourceKind.ByHand => $"by hand{with}{check}",
            SourceKind.File => $"from the file {File ?? "of a logger"}{with}{check}",
            SourceKind.Device => $"read from {Instrument ?? "a device"}{check}",
            _ => FigureSourceWords.SimulatedNobodyMeasured,
        };
    }
}
