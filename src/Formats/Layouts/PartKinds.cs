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

    /// <summary>What a part of a kind stands at when no file says it, ± as much as such parts differ, mm.</summary>
    public static (double Mm, double TolMm) UsualHeight(PartKind kind) =>
        kind switch
        {
            PartKind.Die => (0.8, 0.3),
            PartKind.Lid => (2.5, 1),
            PartKind.Memory => (1.1, 0.2),
            PartKind.PowerStage => (1.0, 0.3),
            PartKind.BridgeChip or PartKind.Controller => (1.0, 0.4),
            PartKind.Inductor => (4, 2),
            PartKind.Capacitor => (2, 2),
            PartKind.Connector => (5, 5),
            PartKind.Cover => (3, 2),
            PartKind.Empty => (0, 0),
            _ => (1, 1),
        };
}
