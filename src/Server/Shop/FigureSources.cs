using FaithfulBracket.Core;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Words.Shop;

namespace FaithfulBracket.Server.Shop;

/// <summary>Which sources of figures this shop takes: those of a stand-in in the demo shop only.</summary>
internal sealed class FigureSources(IConfiguration asked, TimeProvider time, LocalTimes times)
{
    /// <summary>Whether figures of a stand-in are kept: in the demo shop, never in a shop of one's own.</summary>
    public bool Practice { get; } = asked["demo"] is { Length: > 0 };

    /// <summary>A source that is named in an address.</summary>
    /// <exception cref="InputException">No such kind, or figures of a stand-in where none are kept.</exception>
    public FigureSource Source(string? kind, FigureSource otherwise)
    {
        var known = otherwise.Kind;
        if (kind is not null && !EnumNames<SourceKind>.TryParse(kind, out known))
            throw new InputException("?source", FigureSourcesWords.ExpectedByHandFileDevice);
        var source = otherwise with { Kind = known };
        return Faults(source).ToList() is { Count: > 0 } faults ? throw new InputException(faults) : source;
    }

    /// <summary>Every rule that a source breaks, by field.</summary>
    public IEnumerable<InputFault> Faults(FigureSource? source) =>
        source?.Faults(Practice, DateOnly.FromDateTime(TimeZoneInfo.ConvertTime(time.GetUtcNow(), times.Zone).DateTime))
        ?? [];
}
