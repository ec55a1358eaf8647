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
}
