// The media client comes as one file without names; what of it is used here is described in `janus.ts`.
declare module 'webrtc-adapter';
