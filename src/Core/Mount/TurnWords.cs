using FaithfulBracket.Core.Words.Orders;

namespace FaithfulBracket.Core.Mount;

/// <summary>Turns of a screw in words that a hand can follow: whole turns and eighths, near home sixteenths.</summary>
public static class TurnWords
{
    /// <summary>More than this is no turn that anybody counts: it ends where the screw ends.</summary>
    private const double MaxTurns = 10;

    private static readonly string[] Wholes =
    [
        "",
        "one",
        "two",
        "three",
        "four",
        "five",
        "six",
        "seven",
        "eight",
        "nine",
        "ten",
    ];

    private static readonly string[] Eighths =
    [
        "",
        "an eighth",
        "a quarter",
        "three eighths",
        "a half",
        "five eighths",
        "three quarters",
        "seven eighths",
    ];

    /// <summary>To the nearest eighth, below an eighth to the nearest sixteenth.</summary>
    public static string Format(double turns)
    {
        if (turns > MaxTurns)
            return SchoolWords.EachToStop;
        var eighths = (int)Math.Round(turns * 8, MidpointRounding.AwayFromZero);
        if (turns < 0.09375 || eighths == 0)
            return turns <= 0.09375 ? "a sixteenth turn" : "an eighth turn";
        var (whole, part) = (eighths / 8, eighths % 8);
        return (whole, part) switch
        {
            (0, 1) => "an eighth turn",
            (0, 2) => "a quarter turn",
            (0, 4) => "half a turn",
            (0, _) => $"{Eighths[part]} of a turn",
            (1, 0) => "one turn",
            (_, 0) => $"{Wholes[whole]} turns",
            _ => $"{Wholes[whole]} and {Eighths[part]} turns",
        };
    }
}
