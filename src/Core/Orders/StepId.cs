namespace FaithfulBracket.Core.Orders;

/// <summary>Names one step of a job for ever: the station, the workpiece or pair it belongs to, and what it is done to.</summary>
/// <param name="Scope">Key of the workpiece or pair; null for the first of its kind, so that a job of one reads plainly.</param>
/// <param name="Target">What the step is done to, unique within station and scope.</param>
public readonly record struct StepId(Station Station, string? Scope, string Target)
{
    /// <summary>Longest text of an id.</summary>
    public const int MaxLength = 160;

    /// <summary>station.target, or station@scope.target.</summary>
    public override string ToString() =>
        Scope is null ? $"{Name(Station)}.{Target}" : $"{Name(Station)}@{Scope}.{Target}";

    /// <summary>Reads an id back; false for any other text.</summary>
    public static bool TryParse(string? text, out StepId id)
    {
        id = default;
        if (
            text is null
            || text.Length > MaxLength
            || text.IndexOf('.', StringComparison.Ordinal) is not (> 0 and var dot)
        )
            return false;
        var head = text[..dot];
        var at = head.IndexOf('@', StringComparison.Ordinal);
        var station = at < 0 ? head : head[..at];
        if (!Enum.TryParse<Station>(station, ignoreCase: true, out var known) || Name(known) != station)
            return false;
        if (at == head.Length - 1 || dot == text.Length - 1)
            return false;
        id = new(known, at < 0 ? null : head[(at + 1)..], text[(dot + 1)..]);
        return true;
    }

    private static string Name(Station s) => s.ToString().ToLowerInvariant();
}
