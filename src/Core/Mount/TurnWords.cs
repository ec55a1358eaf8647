namespace FaithfulBracket.Core.Mount;

/// <summary>Turns of a screw as they are said.</summary>
public static class TurnWords
{
    public static string Of(double turns) =>
        turns switch
        {
            0.0625 => "a sixteenth turn",
            0.125 => "an eighth turn",
            0.25 => "a quarter turn",
            0.5 => "half a turn",
            0.75 => "three quarters of a turn",
            1 => "one turn",
            1.5 => "one and a half turns",
            2 => "two turns",
            > 10 => "each to its stop",
            _ => Degrees(turns),
        };

    /// <summary>To five degrees, which is as near as a hand turns.</summary>
    public static string Degrees(double turns) =>
        FormattableString.Invariant($"{Math.Max(5, Math.Round(turns * 72) * 5):0}°");
}
