namespace FaithfulBracket.Core.Boards;

/// <summary>Driver tips in words.</summary>
public static class DriverNames
{
    public static string Describe(string driver) =>
        driver switch
        {
            ['T', ..] => "six-lobe",
            ['P', 'H', ..] => "cross",
            ['S', 'L', ..] => "flat",
            ['H', 'E', 'X', ..] => "hex key",
            ['N', 'U', 'T', ..] => "socket",
            _ => "driver",
        };
}
