namespace FaithfulBracket.Formats.Words.Photos;

/// <summary>Sentences of photo pixels.</summary>
internal static class PhotoPixelsWords
{
    public const string PictureCantBeDecoded =
        "The picture can't be decoded: save it as JPEG or PNG and drop it again.";
}
