namespace FaithfulBracket.Core.Words.Pads;

/// <summary>Sentences of alternatives.</summary>
internal static class AlternativesWords
{
    public const string NamePartsThatHavePad = "Name parts that have a pad.";

    public static string FloatsFilmUpToAllowed(double film, double limitUm) =>
        $"floats: film up to {film:0} µm, {limitUm:0} allowed";

    public static string SquashedPastItTakes(double squash, double squashMax) =>
        $"squashed {squash:0} %, past the {squashMax:0} % it takes";
}
