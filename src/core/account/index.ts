export * from './password-fault';
