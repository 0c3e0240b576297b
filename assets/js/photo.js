// Large photos are made smaller before they travel.
import { on, painted, picture } from './dom.js';

const LONGEST = 2000;
const LARGE = 1_500_000;
const QUALITY = 0.9;

on('change', '[data-shrink]', async (field) => {
    const file = field.files[0];
    if (!file || file.size < LARGE || !/^image\/(jpeg|png|webp)$/.test(file.type)) return;
    const photo = await picture(file);
    if (!photo) return;
    const { canvas } = painted(photo, photo.width, photo.height, LONGEST);
    const blob = await new Promise((done) => { canvas.toBlob(done, 'image/jpeg', QUALITY); });
    if (!blob || blob.size >= file.size) return;
    const smaller = new DataTransfer();
    smaller.items.add(new File([blob], 'photo.jpg', { type: 'image/jpeg' }));
    field.files = smaller.files;
});
