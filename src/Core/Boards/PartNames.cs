namespace FaithfulBracket.Core.Boards;

/// <summary>What the trade calls a kind of part in a sentence.</summary>
public static class PartNames
{
    public static string Describe(PartKind kind) =>
        kind switch
        {
            PartKind.Memory => "memory",
            PartKind.PowerStage => "power stage",
            PartKind.BridgeChip => "bridge chip",
            PartKind.Empty => "empty site",
            PartKind.Other => "part",
            PartKind.Unknown => "unknown part",
            _ => kind.ToString().ToLowerInvariant(),
        };

    /// <summary>Several of a kind, or the kind as such.</summary>
    public static string Several(PartKind kind) =>
        kind is PartKind.Memory or PartKind.BridgeChip ? Describe(kind) : $"{Describe(kind)}s";

    public static string Capital(PartKind kind) => Describe(kind) is var n ? char.ToUpperInvariant(n[0]) + n[1..] : "";
}
