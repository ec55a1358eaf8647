namespace FaithfulBracket.Server.Words.Lan;

/// <summary>Sentences of pairing desk.</summary>
internal static class PairingDeskWords
{
    public const string TooManyCodesWereTried =
        "Too many codes were tried. Wait a minute, then type the one on the screen.";
}
