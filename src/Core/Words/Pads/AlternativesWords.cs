namespace FaithfulBracket.Core.Words.Pads;

/// <summary>Sentences of alternatives.</summary>
internal static class AlternativesWords
{
    public static Message NamePartsThatHavePad => $"Name parts that have a pad.";

    public static Message FloatsFilmUpToAllowed(double film, double limitUm) =>
        $"floats: film up to {film:0} µm, {limitUm:0} allowed";

    public static Message SquashedPastItTakes(double squash, double squashMax) =>
        $"squashed {squash:0} %, past the {squashMax:0} % it takes";
}
