namespace FaithfulBracket.Formats.Words.Layouts;

/// <summary>Sentences of layout questions.</summary>
internal static class LayoutQuestionsWords
{
    public const string SuchPartsUsuallyStand = "such parts usually stand so";

    public static string AlikeOfNearDie(int partCount, string size) => $"{partCount} alike of {size} near the die";
}
