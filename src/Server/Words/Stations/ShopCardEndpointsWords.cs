namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of shop card endpoints.</summary>
internal static class ShopCardEndpointsWords
{
    public const string ExpectedPNGOrJPEGPicture = "Expected a PNG or JPEG picture of at most 300 KiB.";
}
