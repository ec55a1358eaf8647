namespace FaithfulBracket.Core.Bench;

/// <summary>What a thing on the bench is.</summary>
public enum ThingKind
{
    Board,
    Piece,
    Screws,
    Lead,
    Ribbon,
    Block,
    Plate,
    Half,
    Carrier,
    Port,
    Pad,
    Putty,
    Film,
    Face,
    Sink,
    Processor,
    Lid,
    Clamp,
    Levers,
    Frame,
    Backplate,
    Gasket,
    Posts,
    Jet,
    Insert,
    Oring,
    Bracket,
    Fitting,
    Plug,
    Link,
    Loop,
    Power,
    Pump,
    Jig,
    Tray,
}

/// <summary>Names one thing on the bench: kind, owner, and which of the owner's it is; "screws:A/F1", "power".</summary>
/// <param name="Owner">Key of the board or block; empty for what a bench has one of.</param>
/// <param name="Key">Its name within the owner, with its own slashes; empty for the owner itself.</param>
public readonly record struct ThingId(ThingKind Kind, string Owner, string Key = "")
{
    /// <summary>Longest text of an id.</summary>
    public const int MaxLength = 160;

    public static readonly ThingId Power = new(ThingKind.Power, ""),
        Loop = new(ThingKind.Loop, ""),
        Pump = new(ThingKind.Pump, ""),
        Jig = new(ThingKind.Jig, "");

    public override string ToString()
    {
        var kind = Name(Kind);
        return Owner.Length == 0 ? kind
            : Key.Length == 0 ? $"{kind}:{Owner}"
            : $"{kind}:{Owner}/{Key}";
    }

    /// <summary>Reads an id back; false for any other text.</summary>
    public static bool TryParse(string? text, out ThingId id)
    {
        id = default;
        if (text is not { Length: > 0 and <= MaxLength })
            return false;
        var colon = text.IndexOf(':', StringComparison.Ordinal);
        var kind = colon < 0 ? text : text[..colon];
        if (!Enum.TryParse<ThingKind>(kind, ignoreCase: true, out var known) || Name(known) != kind)
            return false;
        var rest = colon < 0 ? "" : text[(colon + 1)..];
        var slash = rest.IndexOf('/', StringComparison.Ordinal);
        if (colon >= 0 && (rest.Length == 0 || slash == 0 || slash == rest.Length - 1))
            return false;
        id = new(known, slash < 0 ? rest : rest[..slash], slash < 0 ? "" : rest[(slash + 1)..]);
        return true;
    }

    private static string Name(ThingKind kind) => kind.ToString().ToLowerInvariant();
}
