using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>What a designator's letters usually stand for; only what they make certain enough.</summary>
internal static class PartKinds
{
    public static PartKind? FromDesignator(string id) =>
        new string([.. id.TakeWhile(char.IsLetter)]).ToUpperInvariant() switch
        {
            "C" or "EC" or "CE" => PartKind.Capacitor,
            "L" => PartKind.Inductor,
            "J" or "CN" or "X" or "P" or "CON" => PartKind.Connector,
            _ => null,
        };

    /// <summary>Whether parts of a kind have to be cooled; null where that differs.</summary>
    public static Cooling? UsualCooling(PartKind kind) =>
        kind switch
        {
            PartKind.Die or PartKind.Lid or PartKind.Memory or PartKind.PowerStage => Cooling.Must,
            PartKind.Controller or PartKind.BridgeChip or PartKind.Inductor => Cooling.Should,
            _ => null,
        };

    /// <summary>What a part of a kind usually stands at, mm.</summary>
    public static double UsualHeightMm(PartKind kind) =>
        kind switch
        {
            PartKind.Die => 0.8,
            PartKind.Lid => 2.5,
            PartKind.Memory => 1.1,
            PartKind.PowerStage or PartKind.BridgeChip or PartKind.Controller => 1.0,
            PartKind.Inductor => 4,
            PartKind.Capacitor => 2,
            PartKind.Connector => 5,
            PartKind.Cover => 3,
            PartKind.Empty => 0,
            _ => 1,
        };
}
