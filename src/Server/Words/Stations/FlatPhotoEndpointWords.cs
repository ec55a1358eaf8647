namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of flat photo endpoint.</summary>
internal static class FlatPhotoEndpointWords
{
    public const string PictureOfMiBAndMegapixels =
        "A picture of 16 MiB and 50 megapixels with the target in it; heightMm of the plane over the target, "
        + "fromBelow mirrors it. Millimetres in a pixel stand in Mm-Per-Px.";
}
