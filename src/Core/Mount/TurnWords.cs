namespace FaithfulBracket.Core.Mount;

/// <summary>Turns of a screw as they are said.</summary>
public static class TurnWords
{
    public static string Of(double turns) =>
        turns switch
        {
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

    public static string Degrees(double turns) => FormattableString.Invariant($"{turns * 360:0}°");
}
