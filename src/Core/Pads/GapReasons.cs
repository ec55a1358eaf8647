using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Words.Pads;

namespace FaithfulBracket.Core.Pads;

/// <summary>The sentence behind a gap and its pad.</summary>
internal static class GapReasons
{
    public static Message Why(Pairing p, double min, double max, PadFit? chosen, PadFit? declared)
    {
        var gap =
            max < 0 ? GapReasonsWords.StandsToIntoLand(p.Part.Id, -max, -min, p.Land.Id)
            : min < 0 ? GapReasonsWords.GapUpToOrNone(p.Part.Id, max)
            : (Message)$"{p.Part.Id}: gap {min:0.00}–{max:0.00} mm";
        if (chosen is null)
            return GapReasonsWords.NoPadIsKnownForLand(gap, p.Land.Id);
        var first =
            declared is not null && declared != chosen
                ? (Message)$"; {Describe(declared)}. {Describe(chosen, capital: true)}"
                : (Message)$"; {Describe(chosen)}";
        return gap + first + Message.Stop;
    }

    private static Message Describe(PadFit f, bool capital = false)
    {
        var verdict = f.State switch
        {
            PadState.Good => "good",
            PadState.Starved => "too little",
            _ => "too much",
        };
        var source = f.Source switch
        {
            "kit" => "kit's ",
            "drawer" => "drawer's ",
            _ => "",
        };
        var article = capital ? "The " : "the ";
        var does =
            !f.Touches ? "does not touch"
            : f.Flat ? "is pressed flat"
            : FormattableString.Invariant(
                $"squashes {PadFit.Percent(f.SquashMin):0} to {PadFit.Percent(f.SquashMax):0} %"
            );
        return $"{article}{source}{f.ThicknessMm:0.0#} mm {f.Material} {does}, {verdict}";
    }
}
