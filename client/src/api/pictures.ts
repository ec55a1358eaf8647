import { del, get, set } from 'idb-keyval'

/** Pictures that wait for the network: too large for what keeps the steps, so they lie in the device's own store. */
const at = (key: string) => `fb.picture.${key}`

export const keepPicture = (key: string, picture: Blob) => set(at(key), picture)
export const pictureOf = (key: string) => get<Blob>(at(key))
export const forgetPicture = (key: string) => del(at(key))
