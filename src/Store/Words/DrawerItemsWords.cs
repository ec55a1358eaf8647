namespace FaithfulBracket.Store.Words;

/// <summary>Sentences of drawer items.</summary>
internal static class DrawerItemsWords
{
    public static string IsArchivedBringItBack(string change) =>
        $"\"{change}\" is archived: bring it back, or give this one another id.";

    public static string ChangedInDrawerSinceYouLooked(string id) =>
        $"\"{id}\" changed in the drawer since you looked. Look again, then do it once more.";
}
