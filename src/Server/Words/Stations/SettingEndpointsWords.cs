namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of setting endpoints.</summary>
internal static class SettingEndpointsWords
{
    public const string NameAtLeastOneSetting = "Name at least one setting.";

    public const string SayWhyItStaysWithSetting = "Say why: it stays with the setting.";
}
