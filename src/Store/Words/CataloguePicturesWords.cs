namespace FaithfulBracket.Store.Words;

/// <summary>Sentences of catalogue pictures.</summary>
internal static class CataloguePicturesWords
{
    public static string ThereIsNoPicture(long id) => $"There is no picture {id}.";
}
