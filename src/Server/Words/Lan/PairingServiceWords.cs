namespace FaithfulBracket.Server.Words.Lan;

/// <summary>Sentences of pairing service.</summary>
internal static class PairingServiceWords
{
    public const string TooManyCodesWereTried =
        "Too many codes were tried. Wait a minute, then type the one on the screen.";
}
