// The camera reads codes with jsqr, which is loaded when it is first needed.
import { on, painted, picture } from './dom.js';
import { sendScan } from './scanner.js';

const LONGEST = 1000;
const AGAIN_AFTER = 120;
let reading = null;

const loadReader = (source) => new Promise((done, failed) => {
    if (window.jsQR) {
        done();
        return;
    }
    const script = document.createElement('script');
    script.src = source;
    script.onload = done;
    script.onerror = failed;
    document.head.append(script);
});

const say = (camera, text) => { camera.querySelector('[role="status"]').textContent = text; };

function decode(source, width, height) {
    const { canvas, context } = painted(source, width, height, LONGEST, { willReadFrequently: true });
    return window.jsQR(context.getImageData(0, 0, canvas.width, canvas.height).data, canvas.width, canvas.height)?.data || null;
}

function stopCamera() {
    for (const track of reading?.getTracks() ?? []) track.stop();
    reading = null;
}

function look(camera, video) {
    if (!reading || !document.contains(video)) {
        stopCamera();
        return;
    }
    const text = video.videoWidth > 0 ? decode(video, video.videoWidth, video.videoHeight) : null;
    if (text) {
        stopCamera();
        say(camera, 'Read.');
        sendScan(text);
    } else {
        setTimeout(() => look(camera, video), AGAIN_AFTER);
    }
}

async function startCamera(camera) {
    const video = camera.querySelector('video');
    try {
        await loadReader(camera.dataset.jsqr);
        if (!navigator.mediaDevices) throw new Error('no camera');
        reading = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
    } catch {
        say(camera, 'There is no camera here, or it may not be used. Take a photo of the label instead, or type its address.');
        return;
    }
    video.hidden = false;
    video.srcObject = reading;
    await video.play();
    look(camera, video);
}

async function readPhoto(camera, file) {
    await loadReader(camera.dataset.jsqr);
    const photo = await picture(file);
    const text = photo && decode(photo, photo.width, photo.height);
    if (text) sendScan(text);
    else say(camera, 'No code can be read in this picture. Go nearer, or type the address.');
}

on('click', '[data-camera-start]', (button) => startCamera(button.closest('[data-camera]')));
on('change', '[data-camera-photo]', (field) => {
    if (field.files[0]) readPhoto(field.closest('[data-camera]'), field.files[0]);
});
