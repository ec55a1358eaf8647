namespace FaithfulBracket.Formats.Words.Layouts;

/// <summary>Sentences of layout result.</summary>
internal static class LayoutResultWords
{
    public static string OutlineTakesPlace(string file) =>
        $"{file}: its outline takes the place of the one in the files before it.";
}
